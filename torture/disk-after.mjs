// What may be on a disk after a cut of power, worked out from what was noted of changes to its files.
import { Buffer } from 'node:buffer';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';

const HEADER_BYTES = 21;
const SECTOR_BYTES = 512;

/** The noted changes, in order; one that was cut off at the end is left out. */
export function readJournal(file) {
  const bytes = readFileSync(file);
  const changes = [];
  for (let at = 0; at + HEADER_BYTES <= bytes.length;) {
    const what = String.fromCharCode(bytes[at]);
    const [pathLength, otherLength] = [bytes.readUInt16LE(at + 1), bytes.readUInt16LE(at + 3)];
    const [offset, length] = [Number(bytes.readBigUInt64LE(at + 5)), Number(bytes.readBigUInt64LE(at + 13))];
    const dataLength = what === 'w' ? length : 0;
    const [path, other, end] = [
      at + HEADER_BYTES,
      at + HEADER_BYTES + pathLength,
      at + HEADER_BYTES + pathLength + otherLength + dataLength,
    ];
    if (end > bytes.length) break;
    changes.push({
      what,
      path: bytes.toString('utf8', path, other),
      other: bytes.toString('utf8', other, other + otherLength),
      offset,
      data: bytes.subarray(end - dataLength, end),
    });
    at = end;
  }
  return changes;
}

/**
 * A disk that keeps what was waited for; of everything else some, in any order, torn at sectors. A new file's or a
 * removed file's name is certain once its folder, or the file itself, was waited for.
 *
 * @param {ReturnType<typeof readJournal>} changes
 * @param {{ next(): number }} luck
 * @returns {Map<string, Buffer>} files by path
 */
export function diskAfter(changes, luck) {
  const files = new Map();
  let names = new Map();
  const certain = new Map();
  const waiting = [];
  const named = (path) => names.get(path) ?? open(path);
  const open = (path) => {
    const id = Symbol(path);
    names = new Map(names).set(path, id);
    files.set(id, { durable: Buffer.alloc(0), pending: [] });
    return id;
  };
  const settle = (isSettled) => {
    for (let at = 0; at < waiting.length;)
      if (isSettled(waiting[at])) waiting.splice(at, 1)[0].apply(certain);
      else at += 1;
  };
  for (const change of changes) {
    const { what, path, other } = change;
    if (what === 'c') {
      const id = open(path);
      waiting.push({ folder: dirname(path), id, apply: (to) => to.set(path, id) });
    } else if (what === 'u') {
      names = new Map(names);
      names.delete(path);
      waiting.push({ folder: dirname(path), apply: (to) => to.delete(path) });
    } else if (what === 'r') {
      const id = named(path);
      names = new Map(names).set(other, id);
      names.delete(path);
      waiting.push({ folder: dirname(path), apply: (to) => (to.delete(path), to.set(other, id)) });
    } else if (what === 's') {
      const id = names.get(path);
      if (id) {
        const file = files.get(id);
        for (const one of file.pending) file.durable = applied(file.durable, one);
        file.pending = [];
      }
      settle((one) => one.folder === path || (id !== undefined && one.id === id));
    } else files.get(named(path)).pending.push(change);
  }
  settle(() => luck.next() < 0.5);
  return new Map([...certain].map(([path, id]) => [path, afterCut(files.get(id), luck)]));
}

function afterCut({ durable, pending }, luck) {
  let bytes = durable;
  for (const change of pending) {
    const draw = luck.next();
    if (draw < 0.35) continue;
    bytes = applied(bytes, draw < 0.7 || change.what !== 'w' ? change : torn(change, luck));
  }
  return bytes;
}

/** A write of which only some sectors arrived. */
function torn(change, luck) {
  const sectors = Math.ceil(change.data.length / SECTOR_BYTES);
  const kept = Math.floor(luck.next() * sectors) * SECTOR_BYTES;
  return { ...change, data: change.data.subarray(0, kept) };
}

function applied(bytes, { what, offset, data }) {
  if (what === 't') return offset <= bytes.length ? bytes.subarray(0, offset) : Buffer.concat([bytes, Buffer.alloc(offset - bytes.length)]);
  const grown = Buffer.alloc(Math.max(bytes.length, offset + data.length));
  bytes.copy(grown);
  data.copy(grown, offset);
  return grown;
}

/** Puts such a disk's files into a folder. */
export function putDisk(files, from, to) {
  for (const [path, bytes] of files) {
    const target = join(to, path.slice(from.length));
    mkdirSync(dirname(target), { recursive: true });
    if (!basename(path).startsWith('.')) writeFileSync(target, bytes);
  }
}
