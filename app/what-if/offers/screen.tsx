import { Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { findTerm } from '#core/pricing/payment-schedule';
import { termWords } from '#core/wording/term-words';
import type { SpecialOffer, Lead } from '#core/what-if/offers';
import * as places from '../../first-steps/places-in-words';
import { CandidateTag } from '../../components/candidate-tag';
import { useWriter } from '../../locale/locale';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { marginWords, offersSentence, standingWords } from './words';
import { KeepScenario } from '../keep-scenario';
import { offerEnds } from '#core/price-sheet/offer-ends';
import { useWhatIf } from '../use-what-if';
import { useWorkbench } from '../../workbench/workbench-context';
import { screen as words } from './words';

/** Each special offer on or off: whether the decision survives without it. */
export default function SpecialOffers() {
  return (
    <NothingToAsk needs="one" place={places.offers}>
      <Offers />
    </NothingToAsk>
  );
}

function Offers() {
  const { file, nameOf, compared } = useAskedDecision();
  const [off, setOff] = useState<readonly string[]>([]);
  const question = useMemo(() => ({ kind: 'offers' as const, off }), [off]);
  const { answer: found, ...working } = useWhatIf<'offers'>(file, question);
  const write = useWriter();
  if (found && found.offers.length === 0)
    return (
      <main className="work" aria-label={words.offers}>
        <h2>{words.noCandidateRestsOnASpecial}</h2>
        <p>{words.noneOfThePlans}</p>
      </main>
    );
  return (
    <>
      <main className="work" aria-label={words.offers} aria-busy={working.isBusy}>
        {found && (found.withAll === null ? <NobodyToChoose /> : <p className="says">{offersSentence(found, nameOf, write, compared)}</p>)}
        <ul className="offers">
          {(found?.offers ?? []).map((offer) => (
            <OfferRow
              key={offer.id}
              offer={offer}
              withAll={found?.withAll ?? null}
              isOff={off.includes(offer.id)}
              onToggle={(isOff) => setOff(isOff ? [...off, offer.id] : off.filter((id) => id !== offer.id))}
            />
          ))}
        </ul>
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={words.withTheOffersChosen} aria-live="polite">
        <h2>{off.length === 0 ? words.withEveryOffer : words.without(off.length === 1 ? words.thatOffer : words.those(off.length))}</h2>
        {found && <p>{standingWords(found.asAsked, nameOf, write, compared)}</p>}
        {found && <p>{words.withoutAnyOffer(standingWords(found.withoutAll, nameOf, write, compared))}</p>}
        {off.length > 0 && (
          <KeepScenario
            suggestion={
              off.length === found?.offers.length
                ? words.withoutSpecialOffers
                : words.withoutOffers(
                    (found?.offers ?? [])
                      .filter(({ id }) => off.includes(id))
                      .map(({ label }) => label)
                      .join(', '),
                  )
            }
            changes={[]}
            offersOff={off}
          />
        )}
        <p className="quiet">{words.withoutAnOfferTheRenewal}</p>
      </aside>
    </>
  );
}

function OfferRow({
  offer,
  withAll,
  isOff,
  onToggle,
}: {
  offer: SpecialOffer;
  withAll: Lead | null;
  isOff: boolean;
  onToggle(isOff: boolean): void;
}) {
  const { priced, nameOf, compared } = useAskedDecision();
  const { state } = useWorkbench();
  const write = useWriter();
  const { pricing } = priced.priced;
  const owner = pricing.file.offers.flatMap(({ plans }) => plans).find(({ id }) => id === offer.part) ?? pricing.addon(offer.part);
  const term = findTerm(owner.terms ?? [], offer.term);
  const ends = offerEnds(state.workbench, offer.part, offer.term);
  const survives = offer.without?.first === withAll?.first;
  return (
    <li>
      <Checkbox checked={!isOff} onChange={({ target }) => onToggle(!target.checked)}>
        {words.paid(<b>{offer.label}</b>, termWords(term.months))}
      </Checkbox>
      <span className="offer-words">
        {offer.candidates.map((id) => (
          <CandidateTag key={id} id={id} />
        ))}{' '}
        {words.saves(write.money(offer.saves, pricing.file.currency), ends && words.ends(write.day(ends)))}
      </span>
      <span className={survives ? 'offer-words' : 'offer-words problem'}>
        {survives
          ? words.withoutIt(nameOf(offer.without?.first ?? null), compared.stillLeads, marginWords(offer.without, nameOf, write, compared))
          : words.theDecisionRestsOnItWithout(
              offer.without
                ? `${nameOf(offer.without.first)} ${compared.leads}${marginWords(offer.without, nameOf, write, compared)}`
                : words.noCandidateCanBeChosen,
            )}
      </span>
    </li>
  );
}
