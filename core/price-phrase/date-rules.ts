import { dayIn } from '../calendar/day';
import { addDays } from '../calendar/day-steps';
import { count } from './amount-rules';
import { first, made, optional, type Rule, sequence, sign, type Tokens } from './grammar';
import { capital } from '../wording/capital';

const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];

const monthName: Rule<number> = (tokens, at) => {
  const token = tokens[at];
  const index = token?.kind === 'word' && token.text.length >= 3 ? MONTHS.findIndex((month) => month.startsWith(token.text)) : -1;
  return index < 0 ? null : { value: index + 1, next: at + 1 };
};

const two = (part: number | string) => String(part).padStart(2, '0');
/** "3 March 2027". */
export const writtenDate: Rule<string> = made(
  sequence(count, optional(sign('.')), monthName, optional(sign(',')), count),
  ([day, , month, , year]) => dateOf(year, month, day),
);
/** "2027-03-03". */
export const isoDate: Rule<string> = (tokens: Tokens, at) =>
  made(sequence(count, optional(sign('-')), count, optional(sign('-')), count), ([year, , month, , day]) =>
    dateOf(year, Number(month), day),
  )(tokens, at);

/** Null for what no calendar has, such as 30 February, and for years that no price is about. */
function dateOf(year: string, month: number, day: string): string | null {
  const date = `${year}-${two(month)}-${two(day)}`;
  return /^2\d{3}-/.test(date) && dayIn(date) === date && addDays(date, 0) === date ? date : null;
}

/** "March 2027", "Mar. 2027" or "2027-03", as `YYYY-MM`. */
export const monthAndYear: Rule<string> = first<string>(
  made(sequence(monthName, optional(sign('.', ',')), count), ([month, , year]) => monthOf(year, month)),
  made(sequence(count, count), ([year, month]) => monthOf(year, Number(month))),
);

function monthOf(year: string, month: number): string | null {
  return dateOf(year, month, '1')?.slice(0, 7) ?? null;
}

/**
 * A month in words that can be read back.
 *
 * @example monthWords('2027-03') // 'March 2027'
 */
export function monthWords(month: string): string {
  const [year = '', ordinal = ''] = month.split('-');
  const name = MONTHS[Number(ordinal) - 1] ?? '';
  return `${capital(name)} ${year}`;
}
