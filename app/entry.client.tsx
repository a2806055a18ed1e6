import { StyleProvider } from '@ant-design/cssinjs';
import { startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';

startTransition(() => {
  hydrateRoot(
    document,
    <StyleProvider>
      <HydratedRouter />
    </StyleProvider>,
  );
});
