import type { Quality } from '../decision/quality-schema';

/** Qualities to begin with; the person prunes them and sets their own scales. */
export const USUAL_QUALITIES: readonly Quality[] = [
  { id: 'ease', label: 'Ease', weight: '4', source: 'trial', worst: '0', best: '10', together: 'weakest', why: 'from the trial diary' },
  { id: 'support', label: 'Support hours', weight: '2', source: 'support', worst: '0', best: '168', together: 'weakest' },
  { id: 'speed', label: 'Page speed', weight: '2', source: 'speed', worst: '6', best: '1', together: 'weakest' },
  { id: 'uptime', label: 'Downtime', weight: '1', source: 'uptime', worst: '24', best: '0', together: 'weakest' },
  { id: 'reviews', label: 'Reviews', weight: '2', source: 'reviews', worst: '0', best: '100', together: 'weakest' },
  { id: 'room', label: 'Room to grow', weight: '2', source: 'mark', worst: '1', best: '5', together: 'weakest' },
  { id: 'leaving', label: 'Ease of leaving', weight: '3', source: 'mark', worst: '1', best: '5', together: 'weakest' },
  { id: 'discovery', label: 'Discovery', weight: '2', source: 'mark', worst: '1', best: '5', together: 'strongest' },
];

/** The unit in which a source gives its figures. */
export const SOURCE_UNITS: Readonly<Record<Quality['source'], string>> = {
  mark: '',
  trial: 'mean mark, 0 to 10',
  reviews: 'points of 100',
  uptime: 'hours a year away',
  speed: 'seconds to load',
  support: 'hours a week',
};
