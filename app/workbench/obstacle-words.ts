import type { Obstacle } from '#core/assembly/assemble';
import { featureWords } from '#core/wording/need-words';

/** Why a candidate is not priced, in words. */
export function obstacleWords(obstacle: Obstacle): string {
  switch (obstacle.kind) {
    case 'rate':
      return `there is no exchange rate for ${obstacle.currency} yet`;
    case 'quantity':
      return `a fee counts ${obstacle.quantity.replaceAll('-', ' ')}, which expected sales do not state`;
    case 'stream':
      return 'a fee speaks of a stream of sales that this decision does not have';
    case 'unhandled':
      return `none of its plans handles “${obstacle.stream}”: choose one that does`;
    case 'stream-gone':
      return 'it names something that is no longer sold: choose again what its plans handle and what it brings more of';
    case 'unwanted':
      return `it has ${featureWords(obstacle.feature)}, which it must be without`;
    case 'gone':
      return `its ${obstacle.what === 'addon' ? 'add-on' : obstacle.what} is no longer on the price sheet`;
  }
}
