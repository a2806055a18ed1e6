import { expect, it } from 'vitest';
import { USUAL_MOVING } from './moving-costs';
import { pricedMoving } from './priced-moving';

it('counts own hours at their worth, and money on top, in minor units', () => {
  const moving = { within: { hours: '0.5', money: '1.25' }, between: { hours: '3', money: '10' }, moves: 4, loses: '5' };
  expect(pricedMoving({ currency: 'EUR', hourValue: '20' }, moving)).toEqual({ within: 1125, between: 7000, moves: 4, loses: '5' });
  expect(pricedMoving({ currency: 'JPY' }, moving)).toEqual({ within: 1, between: 10, moves: 4, loses: '5' });
});

it('is an hour inside a vendor, and twenty hours and a hundred between two, as long as nobody says otherwise', () => {
  expect(pricedMoving({ currency: 'EUR', hourValue: '10' }, USUAL_MOVING)).toEqual({
    within: 1000,
    between: 30_000,
    moves: 2,
    loses: undefined,
  });
});
