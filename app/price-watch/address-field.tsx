import Input from 'antd/es/input/Input';
import { useEffect, useState } from 'react';
import { useFetcher } from 'react-router';
import { addressField as words } from './words';

interface AddressFieldProps {
  readonly kept: string | null;
  readonly label?: string;
  readonly submits: Readonly<Record<string, string>>;
  /** Whether it takes the focus as it appears. */
  readonly isFirst?: boolean;
  /** Called once an address stands as it was typed. */
  onKept?(): void;
}

/**
 * The address of something that is looked at again, kept when it is left or on Enter.
 * One that is refused stays as it was typed, with what is wanted below it.
 *
 * @param kept the address as it is kept; null where there is none yet
 * @param submits what goes along with the address: the intent, and what it is the address of
 * @param isFirst whether it takes the focus as it appears
 */
export function AddressField({ kept, label, submits, isFirst = false, onKept }: AddressFieldProps) {
  const keeping = useFetcher<{ readonly problem: string | null }>();
  const [typed, setTyped] = useState<string | null>(null);
  const keep = () => {
    if (typed !== null && typed.trim() !== (kept ?? '')) void keeping.submit({ ...submits, address: typed.trim() }, { method: 'post' });
    else onKept?.();
  };
  const isKept = keeping.state === 'idle' && keeping.data?.problem === null;
  useEffect(() => {
    if (isKept) onKept?.();
  }, [isKept, onKept]);
  const refused = keeping.data?.problem ?? null;
  return (
    <>
      <Input
        variant="underlined"
        autoFocus={isFirst}
        aria-label={label}
        placeholder={words.https}
        value={typed ?? kept ?? ''}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={keep}
        onPressEnter={keep}
        {...(refused ? { status: 'error' as const } : {})}
      />
      {refused && (
        <small className="field-problem" role="alert">
          {refused}
        </small>
      )}
    </>
  );
}
