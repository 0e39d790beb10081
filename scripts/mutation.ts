/** ./crumb mutate, at its end: what was noticed of the faults in a folder, into the table of docs/architecture.md. */
import { readFile } from 'node:fs/promises';
import { docTable, writeDocTable } from './docTable';
import { markdownTable } from './findings';

interface Report {
  readonly files: Readonly<Record<string, { readonly mutants: readonly { readonly status: string }[] }>>;
}

const folder = process.argv[2] ?? '';
const document = 'docs/architecture.md';
const report = JSON.parse(
  await readFile(`.crumb/mutation/${folder.replaceAll('/', '-')}.report.json`, 'utf8'),
) as Report;
const count = new Map<string, number>();
for (const { mutants } of Object.values(report.files))
  for (const { status } of mutants) count.set(status, (count.get(status) ?? 0) + 1);
const of = (...names: string[]) => names.reduce((sum, name) => sum + (count.get(name) ?? 0), 0);
const noticed = of('Killed', 'Timeout');
const all = noticed + of('Survived', 'NoCoverage');
const share = `${((100 * noticed) / all).toFixed(0)} %`;

const rows = docTable(await readFile(document, 'utf8'), 'mutation')
  .split('\n')
  .slice(2)
  .map((line) => line.split('|').slice(1, -1).map((cell) => cell.trim())); // prettier-ignore
const before = rows.find(([name]) => name === folder);
const next = [
  ...rows.filter(([name]) => name && name !== folder),
  [folder, String(all), share, before?.[3] ?? share],
].sort((a, b) => (a[0] ?? '').localeCompare(b[0] ?? ''));
await writeDocTable(
  document,
  'mutation',
  markdownTable(['folder', 'faults put in', 'noticed', 'at the first run'], next),
);
console.log(`${folder}: ${noticed} of ${all} faults noticed, ${share}`);
