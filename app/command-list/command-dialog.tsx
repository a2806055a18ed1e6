import { lazy, Suspense, useEffect } from 'react';
import { Button } from 'antd';
import { useDialog } from './use-dialog';
import { commandDialog as words } from './words/command-dialog';

const CommandList = lazy(() => import('./command-list'));

/** Opens the list of what can be done, with Alt + 0 or by its button. */
export function CommandDialog({ onKeys }: { onKeys(): void }) {
  const { dialog, isOpen, open, closed } = useDialog();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!event.altKey || event.ctrlKey || event.code !== 'Digit0') return;
      event.preventDefault();
      open();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [open]);
  return (
    <>
      <Button type="text" size="small" title={words.typeWhatYouWant} onClick={open}>
        {words.do}
      </Button>
      <dialog ref={dialog} className="command-list" aria-label={words.whatCanBeDone} onClose={closed}>
        <Suspense fallback={null}>{isOpen && <CommandList onClose={() => dialog.current?.close()} onKeys={onKeys} />}</Suspense>
      </dialog>
    </>
  );
}
