import { isRouteErrorResponse } from 'react-router';

const SIGNED_OUT = 401;
const SERVER_FAILS = 500;

/**
 * What a place needs from the server; while the server is away, what is at hand instead, so that every place of the
 * workbench goes on.
 *
 * @param ask - asks the server
 * @param meanwhile - what does meanwhile; null if nothing does
 * @throws what the server said, if it is there and says no
 */
export async function whileAway<Data>(ask: () => Promise<Data>, meanwhile: () => Data | null): Promise<Data> {
  try {
    return await ask();
  } catch (error) {
    const instead = isAway(error) ? meanwhile() : null;
    if (instead === null) throw error;
    return instead;
  }
}

function isAway(error: unknown): boolean {
  const status = isRouteErrorResponse(error) || error instanceof Response ? error.status : null;
  return status === null ? error instanceof Error : status >= SERVER_FAILS || status === SIGNED_OUT;
}

/** The day by this computer’s clock, as the server says it: in UTC. */
export function todayHere(): { today: string } {
  return { today: new Date().toISOString().slice(0, 10) };
}
