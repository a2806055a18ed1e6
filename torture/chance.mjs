/**
 * Chance that is the same for the same seed (mulberry32).
 *
 * @param {number} seed
 */
export function chance(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const upTo = (most) => Math.floor(next() * (most + 1));
  return { next, upTo, one: (list) => list[upTo(list.length - 1)] };
}
