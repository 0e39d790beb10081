import { execFileSync } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { HostFailure } from './hostFailure';

/** Whom the database server runs as: itself refuses root, so started as root it is Debian's own user for it. */
interface ServerUser {
  readonly uid: number;
  readonly gid: number;
}

function postgresUser(): ServerUser {
  const ask = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  try {
    return { uid: ask('-u'), gid: ask('-g') };
  } catch {
    throw new HostFailure(
      'there is no user "postgres" on this machine for the database to run as; install postgresql, or start as an ordinary user',
    );
  }
}

export type KeyName = 'superuser' | 'owner' | 'serving';

/** Where one installation keeps its data and its keys. */
export interface Home {
  /** Its folder, as the user names it (CRUMB_HOME). */
  readonly folder: string;
  /** Null: the database server runs as whoever started this. */
  readonly runAs: ServerUser | null;
  /** Where the cluster lies, or would lie: `pg` beneath it. */
  readonly dataFolder: string;
  readonly cluster: string;
}

/** Folders outside the home for data whose server cannot walk to the home, as root's home folder is closed to it. */
const ELSEWHERE = '/var/lib/honest-crumb';

function mayReach(folder: string, user: ServerUser): boolean {
  for (let up = folder; ; up = path.dirname(up)) {
    const { uid, gid, mode } = statSync(up);
    const bit = uid === user.uid ? 0o100 : gid === user.gid ? 0o010 : 0o001;
    if ((mode & bit) === 0) return false;
    if (up === path.dirname(up)) return true;
  }
}

const pointerOf = (folder: string) => path.join(folder, 'data-at');

/** Writes a file whole or not at all, readable by its owner only. */
export function writePrivately(file: string, text: string): void {
  const half = `${file}.${process.pid}.half`;
  writeFileSync(half, text, { mode: 0o600 });
  renameSync(half, file);
}

/**
 * Opens a home folder, making it if need be: closed to everybody else, and the data in a place that the database server can reach
 * by ordinary rights, without a capability.
 * @param scratch for tests and benchmarks: what has to lie elsewhere lies where temporary files do
 */
export function openHome(folder: string, { scratch = false } = {}): Home {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const runAs = process.getuid?.() === 0 ? postgresUser() : null;
  const shut = (): void => {
    if (runAs) chownSync(folder, 0, 0);
    chmodSync(folder, 0o700);
  };
  if (runAs) {
    // its group may pass through to its own folder inside, and do nothing else; nobody else may even that
    chownSync(folder, 0, runAs.gid);
    chmodSync(folder, 0o710);
  } else shut();
  mkdirSync(path.join(folder, 'keys'), { recursive: true, mode: 0o700 });
  chmodSync(path.join(folder, 'keys'), 0o700);
  const dataFolder = dataFolderOf(folder, runAs, scratch);
  if (dataFolder !== folder) shut();
  return { folder, runAs, dataFolder, cluster: path.join(dataFolder, 'pg') };
}

function dataFolderOf(folder: string, runAs: ServerUser | null, scratch: boolean): string {
  if (!runAs) return folder;
  const pointer = pointerOf(folder);
  if (existsSync(pointer)) {
    const away = readFileSync(pointer, 'utf8').trim();
    // somebody cleared the temporary files: what lay there is gone, and was never meant to stay
    if (existsSync(away) || !scratch) return makeReachable(away, runAs);
  }
  if (mayReach(folder, runAs)) return folder;
  const away = path.join(scratch ? path.join(tmpdir(), 'honest-crumb') : ELSEWHERE, randomUUID());
  makeReachable(away, runAs);
  writePrivately(pointer, `${away}\n`);
  return away;
}

function makeReachable(folder: string, user: ServerUser): string {
  mkdirSync(path.dirname(folder), { recursive: true, mode: 0o711 });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chownSync(folder, user.uid, user.gid);
  chmodSync(folder, 0o700);
  if (!mayReach(folder, user))
    throw new HostFailure(
      `the database server cannot reach ${folder}; give CRUMB_HOME a folder that the user "postgres" can walk to`,
    );
  return folder;
}

/** A role's password, made at first use. Homes of the first versions had one key, beside the folder. */
export function keyOf(home: Home, name: KeyName): string {
  const file = path.join(home.folder, 'keys', name);
  const early = path.join(home.folder, 'password');
  if (name === 'superuser' && !existsSync(file) && existsSync(early)) renameSync(early, file);
  if (!existsSync(file)) writePrivately(file, randomBytes(24).toString('hex'));
  return readFileSync(file, 'utf8').trim();
}

/** The password file of the PostgreSQL programs: so no password ever stands in a list of processes. */
export function passwordFile(home: Home, users: Readonly<Record<string, KeyName>>): string {
  const file = path.join(home.folder, 'keys', 'pgpass');
  const lines = Object.entries(users).map(([user, key]) => `127.0.0.1:*:*:${user}:${keyOf(home, key)}\n`);
  writePrivately(file, lines.join(''));
  return file;
}

/** Forgets a home with all that is in it. For homes of tests. */
export function removeHome(home: Home): void {
  if (home.dataFolder !== home.folder) rmSync(home.dataFolder, { recursive: true, force: true });
  rmSync(home.folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
}
