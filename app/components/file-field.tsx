import { Button } from 'antd';
import { useId, useRef } from 'react';
import { fileField as words } from './words/file-field';

interface FileFieldProps {
  /** What is taken, as the person reads it. */
  readonly label: string;
  /** On the button; “Choose a file” unless stated. */
  readonly button?: string;
  readonly accept: string;
  readonly multiple?: boolean;
  onFiles(files: File[]): void;
}

/** Takes in files; the same one can be chosen again after it was changed. */
export function FileField({ label, button, accept, multiple = false, onFiles }: FileFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  return (
    <span className="file-field">
      <span id={id} className="field-label">
        {label}
      </span>
      <Button aria-describedby={id} onClick={() => input.current?.click()}>
        {button ?? (multiple ? words.chooseFiles : words.chooseAFile)}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        multiple={multiple}
        onChange={({ target }) => {
          const files = [...(target.files ?? [])];
          target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </span>
  );
}
