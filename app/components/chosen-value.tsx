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
}

const OPENING = new Set(['Enter', ' ', 'ArrowDown', 'ArrowUp']);

/**
 * Shows what is chosen until the list to choose from is there: the same parts and classes as the component library's,
 * so that nothing moves when that takes its place.
 */
export function ChosenValue({ id, label, placeholder, onReach, onFocusChange, onOpen }: ChosenValueProps) {
  const press = (event: KeyboardEvent) => {
    if (!OPENING.has(event.key)) return;
    event.preventDefault();
    onOpen();
  };
  return (
    <div
      className="ant-select ant-select-underlined app ant-select-css-var ant-select-single ant-select-show-arrow"
      onMouseDown={(event) => {
        // Not at the click: by then the list may stand in its place, which would take only half of it.
        event.preventDefault();
        onOpen();
      }}
      onClick={onOpen}
      onPointerEnter={onReach}
    >
      <div className={`ant-select-content ${label ? 'ant-select-content-has-value' : ''}`} title={label}>
        {label ?? <div className="ant-select-placeholder">{placeholder}</div>}
        <input
          id={id}
          type="text"
          readOnly
          className="ant-select-input"
          role="combobox"
          aria-expanded={false}
          aria-haspopup="listbox"
          aria-controls={`${id}_list`}
          value=""
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
