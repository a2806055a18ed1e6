/** Whether the person asked their system for less motion: then nothing moves, it stands where it comes to stand. */
export function wantsLessMotion(): boolean {
  return typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
}
