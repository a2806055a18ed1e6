import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { isAlike, steady } from './steady';

describe('what is drawn alike', () => {
  const handler = () => undefined;
  it.each<[unknown, unknown]>([
    [1, 1],
    [Number.NaN, Number.NaN],
    [
      { value: '1', options: [{ label: 'a', value: 'a' }] },
      { value: '1', options: [{ label: 'a', value: 'a' }] },
    ],
    [{ onChange: handler }, { onChange: handler }],
  ])('%j and %j are', (one, other) => {
    expect(isAlike(one, other)).toBe(true);
  });

  it.each<[unknown, unknown]>([
    [1, '1'],
    [null, {}],
    [{ value: '1' }, { value: '2' }],
    [{ value: undefined }, { prefix: undefined }],
    [{ value: '1' }, { value: '1', suffix: '%' }],
    [['a'], { 0: 'a' }],
    [
      ['a', 'b'],
      ['b', 'a'],
    ],
    [{ onChange: () => 1 }, { onChange: () => 1 }],
    // What is inside of these cannot be seen.
    [new Map([['a', 1]]), new Map([['a', 1]])],
    [<b key="1">a</b>, <b key="1">a</b>],
  ])('%j and %j are not', (one, other) => {
    expect(isAlike(one, other)).toBe(false);
  });
});

describe('a steady component', () => {
  it('is drawn as the one it is made of, and its handlers call those it was given', () => {
    const called: string[] = [];
    let pressed: ((key: string) => void) | undefined;
    const Key = steady(({ name, onPress }: { name: string; onPress(key: string): void }) => {
      pressed = onPress;
      return <kbd>{name}</kbd>;
    });
    expect(renderToStaticMarkup(<Key name="Enter" onPress={(key) => called.push(key)} />)).toBe('<kbd>Enter</kbd>');
    pressed?.('Enter');
    expect(called).toEqual(['Enter']);
  });
});
