/** The usual places of selling. */
export const CHANNELS = [
  { value: 'own-site', label: 'on your own site' },
  { value: 'in-person', label: 'in person' },
  { value: 'marketplace', label: 'on a marketplace' },
];

/**
 * A channel in words; one of the person's own by its name.
 *
 * @example channelWords('marketplace') // 'on a marketplace'
 */
export function channelWords(channel: string): string {
  return CHANNELS.find(({ value }) => value === channel)?.label ?? channel.replaceAll('-', ' ');
}
