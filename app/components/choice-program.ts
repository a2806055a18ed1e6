import type { SelectProps } from 'antd';
import { type ComponentType, createElement, type ReactNode, useSyncExternalStore } from 'react';

type Program = ComponentType<SelectProps<string | null>>;

let program: Program | null = null;
let fetching: Promise<void> | null = null;
const waiting = new Set<() => void>();

/** The component library's list to choose from; nothing while it is not there. */
export function ChoiceSelect(props: SelectProps<string | null>): ReactNode {
  // Not a lazy component: that would first be shown as missing, and what has the focus would lose it.
  return program === null ? null : createElement(program, props);
}

/**
 * Fetches the list to choose from, once. It is a tenth of what the first page would have to load, and nobody chooses
 * before they have read.
 */
export function fetchChoiceSelect(): Promise<void> {
  fetching ??= import('./choice-select').then(
    (fetched) => {
      program = fetched.default;
      for (const listener of waiting) listener();
    },
    () => {
      // The server is away; the next one who wants to choose tries again.
      fetching = null;
    },
  );
  return fetching;
}

/** Whether the list to choose from is there. */
export function useIsChoiceFetched(): boolean {
  return useSyncExternalStore(subscribe, atHand, onServer);
}

function subscribe(listener: () => void): () => void {
  waiting.add(listener);
  return () => waiting.delete(listener);
}

const atHand = () => program !== null;
const onServer = () => false;
