import { ConfigProvider } from 'antd';
import { type ReactNode, useEffect } from 'react';
import { isRouteErrorResponse, Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteLoaderData } from 'react-router';
import type { Route } from './+types/root';
import { ProblemPage } from './components/problem-page';
import { LocaleProvider } from './locale/locale';
import { localeOf } from './server/locale.server';
import { nonceContext, onlyLookingContext } from './server/request-context';
import { componentTheme } from './theme/component-theme';
import franklin from '@fontsource-variable/libre-franklin/files/libre-franklin-latin-wght-normal.woff2?url';
import newsreader from '@fontsource-variable/newsreader/files/newsreader-latin-wght-normal.woff2?url';
import '@fontsource-variable/libre-franklin/wght.css';
import '@fontsource-variable/newsreader/wght.css';
import 'antd/dist/antd.css';
import './theme/styles';
import { root as words } from './words';

export const links: Route.LinksFunction = () => [
  ...[franklin, newsreader].map((href) => ({ rel: 'preload', as: 'font', type: 'font/woff2', href, crossOrigin: 'anonymous' as const })),
  { rel: 'icon', href: '/favicon.svg', type: 'image/svg+xml' },
];

export const meta: Route.MetaFunction = () => [{ title: words.venalis }];

/** The locale decides how numbers and dates are written, alike on the server and in the browser. */
export function loader({ request, context }: Route.LoaderArgs) {
  return {
    locale: localeOf(request.headers.get('accept-language')),
    nonce: context.get(nonceContext),
    isOnlyLooking: context.get(onlyLookingContext),
  };
}

/** Neither changes while a page is open. */
export const shouldRevalidate = () => false;

export function Layout({ children }: { children: ReactNode }) {
  const data = useRouteLoaderData<typeof loader>('root');
  // Says that the page has come to life, for whoever drives it without looking.
  useEffect(() => {
    document.documentElement.dataset['live'] = 'true';
  }, []);
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="color-scheme" content="light dark" />
        <Meta />
        <Links />
      </head>
      <body>
        <LocaleProvider locale={data?.locale ?? 'en-GB'}>
          <ConfigProvider theme={componentTheme} wave={{ disabled: true }}>
            {data?.isOnlyLooking && (
              <p className="only-looking" role="status">
                {words.openForLookingOnly}
              </p>
            )}
            {children}
          </ConfigProvider>
        </LocaleProvider>
        <ScrollRestoration nonce={data?.nonce} />
        <Scripts nonce={data?.nonce} />
      </body>
    </html>
  );
}

export default function App() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  if (isRouteErrorResponse(error) && error.status === 404)
    return <ProblemPage title={words.thereIsNothingHere} text={words.theAddressMayBeMistyped} />;
  if (isRouteErrorResponse(error)) return <ProblemPage title={error.statusText || words.thatDidNotWork} text={String(error.data)} />;
  if (error instanceof TypeError && /fetch|network|load/i.test(error.message))
    return <ProblemPage title={words.venalisCantBeReached} text={words.checkThatItIsStill} />;
  return <ProblemPage title={words.somethingWentWrongHere} text={words.whatWasSavedIsSafe} />;
}
