import type { Assumption } from '#core/what-if/assumption';
import { type CheapestMap, fieldsOf, type MapAxis } from '#core/what-if/map';
import { COMPARED_WORDS, type ComparedWords } from '../../locale/compared-words';

/** Both axes of a map, with what they are about. */
export interface MapAxes {
  x: { assumption: Assumption; axis: MapAxis };
  y: { assumption: Assumption; axis: MapAxis };
}

/** "Marlpit Grow is cheapest on 68% of the map, Wharfside Trade on 32%; your forecast lies in the field of Marlpit Grow." */
export function mapSentence(
  map: CheapestMap,
  { x, y }: MapAxes,
  nameOf: (id: string | null) => string,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const fields = fieldsOf(map);
  const place = ({ assumption, axis }: MapAxes['x'], count: number) =>
    Math.round(((assumption.asIs - axis.low) / (axis.high - axis.low)) * (count - 1));
  const [column, row] = [place(x, map.columns), place(y, map.rows)];
  const isOn = column >= 0 && column < map.columns && row >= 0 && row < map.rows;
  const here = isOn ? (map.ids[map.winners[row * map.columns + column] ?? -1] ?? null) : null;
  const [only] = fields;
  if (fields.length === 1 && only)
    return only.candidate === null
      ? 'No candidate can be chosen anywhere on this map.'
      : `${nameOf(only.candidate)} ${compared.isBest} everywhere on this map.`;
  const shares = fields
    .slice(0, 4)
    .map(({ candidate, share }, index) =>
      index === 0
        ? `${nameOf(candidate)} ${candidate === null ? 'can be chosen on' : `${compared.isBest} on`} ${percent(share)} of the map`
        : `${nameOf(candidate)} on ${percent(share)}`,
    );
  return `${shares.join(', ').replace('no candidate can be chosen on', 'No candidate can be chosen on')}. ${isOn ? `Your forecast lies in the field of ${nameOf(here)}.` : 'Your forecast lies outside this map.'}`;
}

function percent(share: number): string {
  return share < 0.005 ? 'less than 1%' : `${Math.round(share * 100)}%`;
}

export const mapChart = {
  yourForecast: 'your forecast',
  whoOverAndTheSame: (isBest: string, name: string, across: string) =>
    `Who ${isBest} over ${name} and ${across}; the same stands in the table below`,
  moreOrLess: ', more or less',
};

export const screen = {
  map: 'Map',
  across: 'Across',
  up: 'Up',
  theEndsOfARange: 'The ends of a range are the same; there is nothing between them to look at.',
  theMapIsBeing: 'The map is being drawn …',
  theSameInWords: 'The same in words',
  thePointAndTheRanges: 'The point and the ranges',
  ranges: 'Ranges',
  now: (name: string, assumption: string) => `${name}, now ${assumption}`,
  yourForecast: 'Your forecast',
  thisPoint: 'This point',
  everythingAsYouExpect: 'Everything as you expect it.',
  than: (margin: string, by: string, name: string) => ` (${margin} ${by} than ${name})`,
  noCandidateCanBeChosen: 'No candidate can be chosen there.',
  chooseAPointOnTheMap: (leads: string) => `Choose a point on the map to see who ${leads} there, and by how much.`,
  downAcross: (name: string, across: string) => `${name} down, ${across} across`,
};
