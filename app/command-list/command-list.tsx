import Input from 'antd/es/input/Input';
import { type KeyboardEvent, useId, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';
import { type Command, commandsFor, commandsMeant } from './commands';
import './command-list.css';
import { commandList as words } from './words/command-list';

const STEPS: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowUp: -1 };

interface CommandListProps {
  /** Something was chosen, or nothing is wanted. */
  onClose(): void;
  onKeys(): void;
}

/** Everything that can be done from here, found by typing; arrow keys choose, Enter does it. */
export default function CommandList({ onClose, onKeys }: CommandListProps) {
  const { commands, perform } = useCommands(onKeys);
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const id = useId();
  const found = commandsMeant(commands, typed);
  useLayoutEffect(() => {
    list.current?.children[at]?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const choose = (command: Command | undefined) => {
    if (!command) return;
    onClose();
    perform(command);
  };
  const press = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (by !== undefined) setAt((at + by + found.length) % Math.max(1, found.length));
    else if (event.key === 'Enter') choose(found[at]);
    else return;
    event.preventDefault();
  };
  return (
    <>
      <Input
        autoFocus
        variant="underlined"
        aria-label={words.whatDoYouWant}
        placeholder={words.whatDoYouWant}
        role="combobox"
        aria-expanded
        aria-controls={`${id}list`}
        aria-activedescendant={found[at] ? `${id}${at}` : undefined}
        autoComplete="off"
        value={typed}
        onChange={({ target }) => {
          setTyped(target.value);
          setAt(0);
        }}
        onKeyDown={press}
      />
      <ul role="listbox" id={`${id}list`} aria-label={words.whatCanBeDone} ref={list}>
        {found.map((command, index) => (
          <li
            key={command.name}
            id={`${id}${index}`}
            role="option"
            aria-selected={index === at}
            onPointerMove={() => setAt(index)}
            onClick={() => choose(command)}
          >
            <b>{command.name}</b>
            <small>{command.of}</small>
          </li>
        ))}
      </ul>
      <p role="status" className="quiet">
        {found.length === 0 ? words.nothingIsCalledThatTry : words.toChooseFromEnter(found.length)}
      </p>
    </>
  );
}

function useCommands(onKeys: () => void) {
  const { decisionId, state, store, version, setVersion } = useWorkbench();
  const navigate = useNavigate();
  const { workbench, undo, redo } = state;
  const commands = useMemo(() => commandsFor({ decisionId, workbench, undo, redo, version }), [decisionId, workbench, undo, redo, version]);
  const perform = ({ does }: Command) => {
    switch (does.kind) {
      case 'go':
        return void navigate(does.to);
      case 'download':
        return window.location.assign(does.from);
      case 'step':
        return void store.step(does.step);
      case 'version':
        return setVersion(does.version);
      case 'keys':
        return onKeys();
    }
  };
  return { commands, perform };
}
