import type { ChartColours } from './chart-colours';

/** What all charts have in common: the application's face, no animation, a description for screen readers. */
export function baseOption(colours: ChartColours) {
  return {
    animation: false,
    textStyle: { fontFamily: "'Libre Franklin Variable', sans-serif", color: colours.ink },
    aria: { enabled: true },
  };
}

/** The box that says what is under the pointer. */
export function hoverOption<Trigger extends 'axis' | 'item'>(colours: ChartColours, trigger: Trigger) {
  return { trigger, backgroundColor: colours.sheet, borderColor: colours.line, textStyle: { color: colours.ink } };
}

/** Names are shown in a box that is markup. */
export function plainText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
}

/** An upright axis of amounts, written as a person's locale writes them. */
export function amountAxis(colours: ChartColours, write: (decimal: string) => string) {
  return {
    type: 'value' as const,
    splitLine: { lineStyle: { color: colours.line } },
    axisLabel: { color: colours.quiet, formatter: (value: number) => write(String(value)) },
  };
}

/** The months of a horizon from left to right. */
export function monthAxis(colours: ChartColours, months: readonly string[], write: (month: string) => string) {
  return {
    type: 'category' as const,
    data: [...months],
    axisLine: { lineStyle: { color: colours.line } },
    axisTick: { show: false },
    axisLabel: { color: colours.quiet, formatter: write },
  };
}
