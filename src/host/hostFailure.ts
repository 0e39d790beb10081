/**
 * Something outside the program is not as it should be, said in one sentence with the one thing that helps. Printed as it is;
 * whatever is thrown beside it is a fault of ours.
 */
export class HostFailure extends Error {}

/** One line for whoever started the command. Standard error, so that what a command answers can be piped on. */
export const say = (sentence: string): void => void process.stderr.write(`${sentence}\n`);

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

/** A full disk, a folder that may not be written: what the system said, in words; everything else stays what it is. */
export function wordSystemError(error: unknown, place: string): unknown {
  switch (codeOf(error)) {
    case 'ENOSPC':
    case 'EDQUOT':
      return new HostFailure(
        `the disk is full (${place}). Make room, then start again; nothing that was saved is lost`,
      );
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
      return new HostFailure(
        `this user may not write in ${place}. Start as the user who owns it, or choose another with CRUMB_HOME`,
      );
    default:
      return error;
  }
}
