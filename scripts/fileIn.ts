import { readFile, stat } from 'node:fs/promises';

/** A refusal of a command that takes a file: to standard error as JSON with code, path and params; exit code 1. */
export function fail(problem: object): never {
  console.error(JSON.stringify({ problem }));
  process.exit(1);
}

/** What a command was given: its file's text, and the settings after it. Without a file it says how it is used; exit code 2. */
export function fileIn(
  usage: string,
  mostBytes: number,
): { readonly text: () => Promise<string>; readonly settings: string[] } {
  const [file, ...settings] = process.argv.slice(2);
  if (!file) {
    console.error(`Usage: ${usage}`);
    process.exit(2);
  }
  const text = async () => {
    const size = await stat(file).then(
      (stats) => (stats.isFile() ? stats.size : null),
      () => null,
    );
    if (size === null) fail({ code: 'required', path: 'file' });
    if (size > mostBytes) fail({ code: 'tooLong', path: 'file', params: { max: mostBytes } });
    return readFile(file, 'utf8');
  };
  return { text, settings };
} // prettier-ignore
