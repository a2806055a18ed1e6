import { useSyncExternalStore } from 'react';

/** The colours of the theme as a canvas needs them. */
export interface ChartColours {
  readonly ink: string;
  readonly quiet: string;
  readonly line: string;
  readonly sheet: string;
  /** For series, told apart in light and dark, also by those who see few colours; always with a pattern or a name. */
  readonly series: readonly string[];
  /** A candidate's colour by its name in the theme. */
  candidate(name: string): string;
}

const NAMES = [
  '--bucket-payment',
  '--bucket-transaction',
  '--bucket-usage',
  '--bucket-once',
  '--bucket-plan',
  '--bucket-addon',
  '--bucket-time',
  '--bucket-tax',
];
const SERVER: ChartColours = {
  ink: '#000',
  quiet: '#555',
  line: '#ccc',
  sheet: '#fff',
  series: NAMES.map(() => '#777'),
  candidate: () => '#777',
};
let known: { scheme: string; colours: ChartColours } | null = null;

function colours(): ChartColours {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(name).trim();
  const scheme = read('--ink');
  if (known?.scheme === scheme) return known.colours;
  const isDark = window.matchMedia('(prefers-color-scheme: dark)').matches;
  const candidate = (name: string) => (isDark ? lighter(read(name)) : read(name));
  known = {
    scheme,
    colours: {
      ink: read('--ink'),
      quiet: read('--quiet'),
      line: read('--line'),
      sheet: read('--sheet'),
      series: NAMES.map(read),
      candidate,
    },
  };
  return known.colours;
}

/** Marks have white letters on a candidate's colour; thin lines on a dark ground need more light. */
const LIGHTER = 0.38;

function lighter(hex: string): string {
  const parts = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)).map((part) => Math.round(part + (255 - part) * LIGHTER));
  return parts.some(Number.isNaN) ? hex : `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}

function subscribe(listener: () => void): () => void {
  const dark = window.matchMedia('(prefers-color-scheme: dark)');
  dark.addEventListener('change', listener);
  return () => dark.removeEventListener('change', listener);
}

/** The theme's colours, also after a change between light and dark. */
export function useChartColours(): ChartColours {
  return useSyncExternalStore(subscribe, colours, () => SERVER);
}
