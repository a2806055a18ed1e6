import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';

/** Who may reach this server under which names. */
export interface Access {
  /** The address to listen at. */
  readonly host: string;
  /** Whether it listens beyond this computer. */
  readonly isOpen: boolean;
  /** Names and addresses under which it answers, in lower case, without a port. */
  readonly names: ReadonlySet<string>;
}

const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** Whether an address or name to listen at is reached from this computer alone. */
export function isLoopback(host: string): boolean {
  const plain = host.toLowerCase().replace(/^\[|\]$/g, '');
  return plain === 'localhost' || plain === '::1' || (isIP(plain) === 4 && plain.startsWith('127.'));
}

/**
 * Who may reach the server: `HOST` is the address to listen at, `ALLOWED_HOSTS` further names under which it answers,
 * such as that of a reverse proxy, with commas between. It answers under its own addresses and those names, and under
 * no other: another name is somebody else's page pointed at it.
 */
export function accessFrom(environment: Readonly<Record<string, string | undefined>>): Access {
  const host = (environment['HOST'] ?? '').trim() || '127.0.0.1';
  const allowed = (environment['ALLOWED_HOSTS'] ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map((name) => nameOf(name));
  const isEverywhere = !isLoopback(host) && ['0.0.0.0', '::', '[::]'].includes(host);
  const own = isEverywhere ? ownAddresses() : [asName(host)];
  return { host, isOpen: !isLoopback(host), names: new Set([...LOOPBACK_NAMES, ...own, ...allowed]) };
}

/** Whether a request came under a name by which only this computer calls itself. */
export function isOwnName(name: string): boolean {
  return LOOPBACK_NAMES.includes(name);
}

/** The name of a Host header, without its port. */
export function nameOf(hostHeader: string): string {
  return hostHeader.toLowerCase().replace(/:\d+$/, '').replace(/\.$/, '');
}

function ownAddresses(): string[] {
  return Object.values(networkInterfaces()).flatMap((addresses = []) => addresses.map(({ address }) => asName(address)));
}

/** An address as it stands in a Host header. */
function asName(host: string): string {
  const plain = host.toLowerCase().replace(/%.*$/, '');
  return isIP(plain) === 6 ? `[${plain}]` : plain;
}
