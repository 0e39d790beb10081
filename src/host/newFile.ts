import { existsSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { HostFailure } from './hostFailure';

/**
 * A new file where the user stands, never over another: written beside its place and moved there when it is whole.
 * @returns its full path
 */
export async function writeNewFile(
  calledFrom: string,
  name: string,
  write: (half: string) => Promise<void>,
): Promise<string> {
  const file = path.resolve(calledFrom, name);
  if (existsSync(file))
    throw new HostFailure(`${name} is there already; it is not overwritten. Choose another name`);
  if (!existsSync(path.dirname(file))) throw new HostFailure(`there is no folder ${path.dirname(name)}`);
  const half = `${file}.half`;
  rmSync(half, { force: true });
  try {
    await write(half);
    renameSync(half, file);
  } finally {
    rmSync(half, { force: true });
  }
  return file;
}
