import { readFile, writeFile } from 'node:fs/promises';

const fence = (name: string): [string, string] => [
  `<!-- table ${name}: written by the run -->`,
  '<!-- end -->',
];

/** Puts what a run found in the place of what stood in a document between the marks of that table. */
export async function writeDocTable(document: string, name: string, table: string): Promise<void> {
  const text = await readFile(document, 'utf8');
  const [open, close] = fence(name);
  const from = text.indexOf(open);
  const to = text.indexOf(close, from);
  if (from < 0 || to < 0) throw new Error(`${document} has no place for the table ${name}`);
  await writeFile(document, `${text.slice(0, from + open.length)}\n\n${table}\n\n${text.slice(to)}`);
}

/** What stands in a document as that table. */
export function docTable(text: string, name: string): string {
  const [open, close] = fence(name);
  const from = text.indexOf(open);
  return from < 0 ? '' : text.slice(from + open.length, text.indexOf(close, from)).trim();
}
