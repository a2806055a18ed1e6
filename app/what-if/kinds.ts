import type { PlaceLeaf } from '../workbench/place-leaf';
import { kinds as words } from './words';

/** Every what-if, each a folder with its screen and its words; what answers it stands in `core/questions/kinds`. */
export const WHAT_IFS = [
  { path: '', name: 'Break-even', module: 'what-if/break-even/screen.tsx' },
  { path: 'next-plan', name: words.nextPlanUp, module: 'what-if/next-plan/screen.tsx' },
  { path: 'map', name: 'Map', module: 'what-if/map/screen.tsx' },
  { path: 'route', name: 'Route', module: 'what-if/route/screen.tsx' },
  { path: 'chance', name: 'Chance', module: 'what-if/chance/screen.tsx' },
  { path: 'turns-it', name: words.whatWouldChangeIt, module: 'what-if/turns-it/screen.tsx' },
  { path: 'paying-ahead', name: words.payingAhead, module: 'what-if/paying-ahead/screen.tsx' },
  { path: 'offers', name: 'Offers', module: 'what-if/offers/screen.tsx' },
  { path: 'investment', name: words.biggerInvestment, module: 'what-if/investment/screen.tsx' },
  { path: 'scenarios', name: 'Scenarios', module: 'what-if/scenarios/screen.tsx' },
] as const satisfies readonly PlaceLeaf[];
