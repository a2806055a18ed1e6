import { type ComponentType, isValidElement, memo, useLayoutEffect, useMemo, useRef } from 'react';

/**
 * A component that is drawn anew only when something that is seen of it changes. Its handlers may be new each time: the
 * newest are called. A place of the workbench has a hundred fields, of which a typed figure changes one.
 */
export function steady<Props extends object>(Component: ComponentType<Props>): (props: Props) => React.JSX.Element {
  const Drawn: ComponentType<Props> = memo(Component, isAlike);
  return function Steady(props: Props) {
    return <Drawn {...props} {...useSteadyHandlers(props)} />;
  };
}

/** Functions that stay the same and call the newest of their name. */
function useSteadyHandlers<Props extends object>(props: Props): Partial<Props> {
  const newest = useRef<Props>(props);
  useLayoutEffect(() => {
    newest.current = props;
  });
  const names = Object.entries(props)
    .filter(([, value]) => typeof value === 'function')
    .map(([name]) => name)
    .join(' ');
  return useMemo(() => {
    const handler =
      (name: string) =>
      (...given: unknown[]) =>
        (Reflect.get(newest.current, name) as ((...given: unknown[]) => unknown) | undefined)?.(...given);
    return Object.fromEntries(
      names
        .split(' ')
        .filter(Boolean)
        .map((name) => [name, handler(name)]),
    ) as Partial<Props>;
  }, [names]);
}

/** Whether two values are drawn alike: the same, or lists and plain objects of such. */
export function isAlike(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  if (!isPlain(one) || !isPlain(other) || Array.isArray(one) !== Array.isArray(other)) return false;
  const [names, others] = [Object.keys(one), Object.keys(other)];
  return (
    names.length === others.length &&
    names.every((name) => Object.hasOwn(other, name) && isAlike(Reflect.get(one, name), Reflect.get(other, name)))
  );
}

function isPlain(value: object): boolean {
  return !isValidElement(value) && (Array.isArray(value) || Object.getPrototypeOf(value) === Object.prototype);
}
