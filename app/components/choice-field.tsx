import { useEffect, useId, useRef, useState } from 'react';
import { ChoiceSelect, fetchChoiceSelect, useIsChoiceFetched } from './choice-program';
import { ChosenValue } from './chosen-value';
import { Labelled } from './labelled';

interface ChoiceFieldProps<Value extends string> {
  label: string;
  labelHidden?: boolean;
  value: Value | undefined;
  options: ReadonlyArray<{ value: Value; label: string }>;
  /** Whether typing narrows a long list. */
  searchable?: boolean;
  placeholder?: string;
  className?: string;
  onChange(value: Value): void;
}

/**
 * One of several things, by name. Until somebody is near, what is chosen is all that is drawn: a list takes so long to
 * draw that a place full of them would open visibly later.
 */
export function ChoiceField<Value extends string>(props: ChoiceFieldProps<Value>) {
  const id = useId();
  const isFetched = useIsChoiceFetched();
  const [early, setEarly] = useState<'no' | 'reached' | 'opened'>('no');
  const [isNear, setNear] = useState(false);
  // Typed before the list was there, it narrows the list as soon as it is.
  const [typed, setTyped] = useState('');
  // The library's list empties its search as it appears, before this effect of its parent.
  const isThere = useRef(false);
  useEffect(() => {
    isThere.current = isFetched && isNear;
  }, [isFetched, isNear]);
  const { label, labelHidden, value, options, searchable, placeholder, className, onChange } = props;
  const open = () => {
    void fetchChoiceSelect();
    // Once the press is over: a list that appears in the middle of it takes it for one beside itself, and closes.
    setTimeout(() => {
      setNear(true);
      setEarly('opened');
    }, 0);
  };
  const chosen = (
    <ChosenValue
      id={id}
      label={options.find((option) => option.value === value)?.label}
      placeholder={placeholder}
      onReach={() => {
        setNear(true);
        void fetchChoiceSelect();
      }}
      onFocusChange={(hasFocus) => setEarly(hasFocus ? 'reached' : 'no')}
      onOpen={open}
      typed={searchable ? typed : undefined}
      onType={(text) => {
        setTyped(text);
        open();
      }}
      onTake={() => {
        const found = options.find((option) => option.label.toLowerCase().includes(typed.toLowerCase()));
        setTyped('');
        setEarly('reached');
        if (found) onChange(found.value);
      }}
    />
  );
  return (
    <Labelled id={id} label={label} labelHidden={labelHidden} className={className}>
      {isFetched && isNear ? (
        <ChoiceSelect
          // One that was reached before it was pressed begins anew, open.
          key={early === 'opened' ? 'opened' : 'reached'}
          id={id}
          variant="underlined"
          value={value ?? null}
          options={[...options]}
          showSearch={
            searchable
              ? {
                  optionFilterProp: 'label',
                  ...(typed === '' ? {} : { searchValue: typed, onSearch: (text: string) => isThere.current && setTyped(text) }),
                }
              : false
          }
          popupMatchSelectWidth={false}
          placeholder={placeholder}
          autoFocus={early !== 'no'}
          defaultOpen={early === 'opened'}
          onOpenChange={(isOpen) => !isOpen && setTyped('')}
          onChange={(next) => {
            setTyped('');
            const found = options.find((option) => option.value === next);
            if (found) onChange(found.value);
          }}
        />
      ) : (
        chosen
      )}
    </Labelled>
  );
}
