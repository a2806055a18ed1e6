import DownOutlined from '@ant-design/icons/es/icons/DownOutlined';
import type { KeyboardEvent } from 'react';

interface ChosenValueProps {
  id: string;
  /** What is chosen; undefined where nothing is. */
  label: string | undefined;
  placeholder: string | undefined;
  /** Somebody is near: the list will be wanted. */
  onReach(): void;
  onFocusChange(hasFocus: boolean): void;
  onOpen(): void;
  /** What has been typed to narrow the list before it was there; undefined where typing does not. */
  typed: string | undefined;
  onType(typed: string): void;
  /** Enter behind what was typed. */
  onTake(): void;
}

/** What is typed once a key more is; null where the key types nothing. A space that nothing stands before opens the list. */
function withKey(typed: string, { key, ctrlKey, metaKey, altKey }: KeyboardEvent): string | null {
  if (key === 'Backspace' && typed !== '') return typed.slice(0, -1);
  const isOne = key.length === 1 && !ctrlKey && !metaKey && !altKey;
  return isOne && (key !== ' ' || typed !== '') ? typed + key : null;
}

const OPENING = new Set(['Enter', ' ', 'ArrowDown', 'ArrowUp']);

/**
 * Shows what is chosen until the list to choose from is there: the same parts and classes as the component library's,
 * so that nothing moves when that takes its place.
 */
export function ChosenValue({ id, label, placeholder, typed, onReach, onFocusChange, onOpen, onType, onTake }: ChosenValueProps) {
  const press = (event: KeyboardEvent) => {
    const next = typed === undefined ? null : withKey(typed, event);
    if (next !== null) onType(next);
    else if (typed && event.key === 'Enter') onTake();
    else if (OPENING.has(event.key)) onOpen();
    else return;
    event.preventDefault();
  };
  return (
    <div
      className="ant-select ant-select-underlined app ant-select-css-var ant-select-single ant-select-show-arrow"
      onMouseDown={(event) => {
        // Not at the click: by then the list may stand in its place, which would take only half of it.
        event.preventDefault();
        // What is typed next is for this list.
        event.currentTarget.querySelector('input')?.focus();
        onOpen();
      }}
      onClick={onOpen}
      onPointerEnter={onReach}
    >
      <div className={`ant-select-content ${label ? 'ant-select-content-has-value' : ''}`} title={label}>
        {!typed && (label ?? <div className="ant-select-placeholder">{placeholder}</div>)}
        <input
          id={id}
          type="text"
          readOnly
          className="ant-select-input"
          role="combobox"
          aria-expanded={false}
          aria-haspopup="listbox"
          aria-controls={`${id}_list`}
          value={typed ?? ''}
          onFocus={() => {
            onFocusChange(true);
            onReach();
          }}
          onBlur={() => onFocusChange(false)}
          onKeyDown={press}
        />
      </div>
      <div className="ant-select-suffix">
        <DownOutlined />
      </div>
    </div>
  );
}
