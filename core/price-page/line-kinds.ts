import { isPriceLine, isPriceTail, wordPrice } from './price-pieces';

/** What a part of a page is about. */
export type SectionKind = 'addons' | 'comparison' | 'fees' | 'questions' | 'every plan' | 'lifetime' | 'other';

const BADGE =
  /^(?:[★☆✨]\s*)?(?:(?:our |the )?most (?:popular|chosen|loved|picked|bought)(?: plan| choice| option| pick)?|popular(?: choice| plan)?|best[ -]?(?:value|seller|deal|choice|selling)|recommended|our (?:tip|pick|choice|favourite)|top pick|editor.?s choice|new|(?:you )?save \d+%(?!.*\b(?:year|annual)).*|[-−–]? ?\d+% off|[-−–] ?\d+%|\d+% discount|bestseller|beliebt|empfohlen|le plus populaire|(?:great|perfect|ideal|best) for (?:growing |small |most |bigger )?\w+|limited(?: time)? offer|(?:for the )?first (?:term|year) only|new customers only|sale|\+ ?\d+ months? free|best offer|featured|favourite|loved by \w+|top (?:seller|rated|choice)|save the most|chosen by most|what most \w+ (?:take|choose|pick|buy)|most (?:people|members|users|customers|of our customers|sellers|shops|teams|creators)(?:['’]s?)? (?:choice|choose this|choose it|pick this|take this|start here|go for this))[.!]?$/i;
const BUTTON =
  /^(?:(?:start|try|get|choose|buy|order(?! (?:bumps?|forms?|track|manag|stat|notes?|history|exports?|imports?|e-?mails?|print|rout|edit|limits?|tags?))|select|sign up|subscribe|book|talk|add to|begin|join|deploy|upgrade|request|go|pick(?! lists?\b)|take(?! (?:payments?|orders|bookings|deposits|donations)\b)|claim|continue|jetzt|choisir|commander|elegir|scegli|kies|bestellen|demo|shop now|let['’]?s)\b.{0,40}|contact(?: (?:us|sales|our|support|the).{0,20})?|(?:learn|read|see|view|show|compare|download|open|create|build|launch)(?: (?:more|all|now|details|plans?|app|an? account|demo|it).{0,20})?)$/i;
const MENU =
  /^(?:skip to .*|zum inhalt|menu|close|home|pricing|prices|plans?|features?|templates|help|help centre|support|log ?in|sign ?in|sign ?up|docs|blog|about|account|basket(?: ?\(\d+\))?|cart(?: ?\(\d+\))?|english|deutsch|terms|privacy|imprint|impressum|datenschutz|data protection|accept all|only necessary|cookie.*|©.*|call us.*|monthly|yearly|annual|annually|per month|per year|pay monthly|pay yearly|billed monthly|billed annually|bill monthly|lifetime|or)$/i;
const SECTIONS: ReadonlyArray<readonly [RegExp, SectionKind]> = [
  [
    /^(?:faqs?|frequently asked.*|(?:some |common |your |more |other )?questions.*|q ?& ?a|good to know|need to know|answers.*|still have questions.*|help.*questions.*|fragen.*|questions fréquentes)$/,
    'questions',
  ],
  [/^what(?:['’]s| is) (?:in|included (?:in|with)|part of) (?:every|all|each) .{0,30}$/, 'every plan'],
  [
    /^(?:(?:optional|handy|useful|popular|paid|available|extra|more|good|nice)\s+)?(?:add[- ]?ons?|additions|extras|extra$|options?|hardware$|apps$|add something|boosters?|top[- ]?ups?|power[- ]?ups?|services|additional services|extra services|accessories|modules)\b.{0,40}$/,
    'addons',
  ],
  [
    /^(?:more for|good to have|on top|need a hand|need more|add(?:ed)? to (?:your|any|every|each|all)|(?:available |to buy )?(?:for|with|on) any plan$|also available|things to add|nice to have|get more|do more|want more|go further).{0,40}$/,
    'addons',
  ],
  [
    /^(?:(?:compare|comparison|detailed)\b.{0,40}|(?!all plans$)(?:full|all) (?:features?|comparison|plans?|details)\b(?!.*\b(?:includes?|have|come|get|billed|paid|charged|are|costs?)\b).{0,30}|(?:hosting |plan |full )?features?(?: compared| overview| comparison)?|what(?:['’]s| is) (?:in|included).{0,30}|plan details|in detail|at a glance|feature overview|everything compared)$/,
    'comparison',
  ],
  [
    /^(?:(?:online |credit )?cards? (?:rates?|fees?|payments?|processing)|(?:taking )?cards online|online cards|processing|processing (?:fees?|rates?)|payment (?:fees?|processing|rates?|costs?)|payments?|transaction fees?|usage(?: fees?)?|platform fees?|selling fees?|sales fees?|rates?|fees?|commission|what it costs per sale|costs? per sale|online payments?|in person|in store|online)$/,
    'fees',
  ],
  [
    /^(?:what (?:every|all) .{0,20}(?:has|have|includes?|gets?|comes with)|(?!all (?:that|of)\b)(?:every|all|each) .{0,24}(?:includes?|including|have|has|gets?|comes? with):?|included (?:everywhere|in (?:every|all).*|with (?:every|all).*)|(?:on |in |with )?(?:every|each) plan|all plans|both plans|always included|every plan has|both (?:plans )?(?:include|have|come with))$/,
    'every plan',
  ],
  [/^(?!.*\b(?:updates?|support)\b)(?:lifetime|one-time|buy once|pay once).{0,30}$/, 'lifetime'],
];

/** Of what kind a section is that a line heads; null if it is no heading of a known kind. */
export function sectionOf(plain: string): SectionKind | null {
  const text = plain
    .toLowerCase()
    .replace(/[:.!]+$/, '')
    .trim();
  if (text.length > 60 || /\d/.test(text)) return null;
  return SECTIONS.find(([pattern]) => pattern.test(text))?.[1] ?? null;
}

/** A badge, or several in a row: "Most popular · Save 65%". */
export function isBadge(plain: string): boolean {
  return plain.split(/\s*[·|•]\s*/).every((part) => BADGE.test(part.trim()));
}

/** "Start Small", "Go Big": names that begin as buttons do. */
const A_NAME_THAT_ACTS =
  /^(?:Start|Begin|Go|Open|Build|Launch) (?:Small|Big|Large|Well|Fresh|Bright|Simple|Easy|Slow|Strong|Far|Further|Global|Local|Wide|Up)$/;

export function isButton(plain: string): boolean {
  return (
    BUTTON.test(plain) &&
    !A_NAME_THAT_ACTS.test(plain) &&
    !/\d|\b(?:days?|weeks?|months?|years?)\b/.test(plain) &&
    plain.split(' ').length <= 6
  );
}

export function isMenu(plain: string): boolean {
  return MENU.test(plain.trim());
}

const SITE =
  /^(?:home|log ?in|sign ?in|sign ?up|blog|docs|about(?: us)?|contact(?: us)?|help(?: cent(?:re|er))?|support|account|my account|basket|cart|pricing|products|templates|features|resources|careers|anmelden|hilfe|kontakt|preise|accueil|tarifs|contacto)$/i;

/** A row of a site's own links, which a browser copies with tabs like a row of a table. */
export function isMenuRow(cells: readonly string[]): boolean {
  return (
    cells.every((cell) => cell === '' || !/\d/.test(cell)) &&
    cells.filter((cell) => SITE.test(cell.trim())).length >= Math.max(2, cells.length / 2)
  );
}

/** A whole sentence: long, or ended by a full stop. */
export function isSentence(plain: string): boolean {
  const words = plain.split(' ').length;
  return (/[.!?]$/.test(plain) && words >= 4) || words > 11;
}

export function isQuestion(plain: string): boolean {
  return /\?$/.test(plain) && plain.split(' ').length >= 2;
}

/** Whether a line belongs to the price of a plan. */
export function isPriced(plain: string): boolean {
  return isPriceLine(plain) || isPriceTail(plain) || wordPrice(plain) !== null;
}

/** "Opening a shop", "When you sell": what a marketplace charges for. */
const WHAT_ONE_DOES =
  /^(?:opening|listing|selling|joining|getting|signing|setting|taking|adding) (?:an?|the|up|your|paid|items?|things)\b|^when you\b/i;

/** A line that can be the name of a plan: a few words, no sentence, no figures of its own. */
export function canBeName(text: string, plain: string, opens = false): boolean {
  const words = plain.split(' ');
  if (plain.length > 40 || words.length > 5 || /[¤€$£%?!✓✗✔✘×•:]/.test(text) || /[.,]$/.test(text)) return false;
  if (WHAT_ONE_DOES.test(plain)) return false;
  if (isBadge(plain) || (isMenu(plain) && !opens) || isMark(plain)) return false;
  // "Online" and "In store" head rates, and are plans where a block begins with them.
  if (sectionOf(plain) !== null && !(opens && /^(?:online|in store|in person)$/i.test(plain))) return false;
  return /\p{L}/u.test(plain) && !isPriced(plain) && !/^(?:from|up to|everything|includes?|or|and|what|how|why|\d+ )\b/i.test(plain);
}

/** A cell of a table: a tick, a dash, a figure or a few words. */
export function isCell(text: string): boolean {
  return text === '' || /^[✓✔☑✗✘✖×❌—–-]$/u.test(text) || (text.split(' ').length <= 6 && !/[.?!:]$/.test(text));
}

/** A cell that can be nothing but a cell. */
export function isMark(text: string): boolean {
  return /^(?:[✓✔☑✅✗✘✖×✕❌—–●-]\uFE0F?|yes|no|included|not included|unlimited|unmetered)$/iu.test(text);
}
