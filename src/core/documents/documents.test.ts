import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import * as z from 'zod';
import fingerprints from './fixtures/fingerprints.json';
import { DOCUMENT_KINDS, KIT, readDocument, setAside, type DocumentKind } from '.';

const FOLDER = 'src/core/documents/fixtures';
const fixture = (kind: DocumentKind<unknown>, version: number): unknown[] =>
  JSON.parse(readFileSync(path.join(FOLDER, `${kind.name}.v${version}.json`), 'utf8')) as unknown[];
const versions = DOCUMENT_KINDS.flatMap((kind) =>
  Array.from({ length: kind.version }, (_, index) => ({ name: kind.name, kind, version: index + 1 })),
);

test.each(versions)('$name, version $version, is read for ever', ({ kind, version }) => {
  const documents = fixture(kind, version);
  expect(documents.length).toBeGreaterThan(0);
  for (const document of documents) {
    const read = readDocument(kind, version, document);
    expect(read).toMatchObject({ ok: true });
    // what was read is of the present shape, and stays what it is when it is written and read again
    if (read.ok)
      expect(readDocument(kind, kind.version, JSON.parse(JSON.stringify(read.value)))).toEqual(read);
  }
});

test('every upgrade is there, and its fixture goes through it', () => {
  for (const kind of DOCUMENT_KINDS) {
    const walked = new Set<number>();
    const watched = {
      ...kind,
      upgrades: Object.fromEntries(
        Object.entries(kind.upgrades).map(([from, upgrade]) => [
          from,
          (document: Readonly<Record<string, unknown>>) => {
            walked.add(Number(from));
            return upgrade(document);
          },
        ]),
      ),
    };
    for (let version = 1; version < kind.version; version++)
      readDocument(watched, version, fixture(kind, version)[0]);
    const steps = Array.from({ length: kind.version - 1 }, (_, index) => index + 1);
    expect([kind.name, [...walked].sort((a, b) => a - b), Object.keys(kind.upgrades).map(Number)]).toEqual([
      kind.name,
      steps,
      steps,
    ]);
  }
});

test('a shape does not change without its version', () => {
  const now = Object.fromEntries(
    DOCUMENT_KINDS.map(({ name, version, schema }) => [
      `${name}.v${version}`,
      createHash('sha256')
        .update(JSON.stringify(z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' })))
        .digest('hex')
        .slice(0, 16),
    ]),
  );
  // A difference here means that what is stored from now on has another shape than what was stored before under the same number:
  // raise the version, write the upgrade, add a fixture; then put the new line in fingerprints.json and leave the old ones.
  expect(fingerprints).toMatchObject(now);
});

test('no fixture belongs to nothing', () => {
  const known = new Set([
    'fingerprints.json',
    ...versions.map(({ name, version }) => `${name}.v${version}.json`),
  ]);
  expect(readdirSync(FOLDER).filter((file) => !known.has(file))).toEqual([]);
});

test('kit 1 to 2: the step that nothing was weighed by goes, the scales come', () => {
  const [first] = fixture(KIT, 1) as { scaleG: number; roomC: number }[];
  expect(first?.scaleG).toBe(1);
  const read = readDocument(KIT, 1, first);
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  expect(read.value).toMatchObject({ roomC: 20, altitudeM: 95 });
  expect(read.value.scales).toEqual([
    { upToG: 10, stepG: 0.1 },
    { upToG: 3000, stepG: 1 },
    { upToG: 1_000_000, stepG: 5 },
  ]);
  expect(read.value).not.toHaveProperty('scaleG');
});

test('whatever stands in a row, reading it is an answer', () => {
  for (const kind of DOCUMENT_KINDS) {
    for (const version of [0, -1, 1.5, kind.version + 1, Number.NaN])
      expect(readDocument(kind, version, {})).toMatchObject({ ok: false, problem: { code: 'wrongVersion' } });
    for (const stored of [null, undefined, 7, 'text', [], [null], { name: 'x' }, { ovens: 3 }])
      for (let version = 1; version <= kind.version; version++)
        expect(readDocument(kind, version, stored).ok).toBe(false);
  }
  expect(setAside(KIT, 'k', 9, { name: 'n'.repeat(200) })).toEqual({
    kind: 'kit',
    id: 'k',
    name: 'n'.repeat(80),
    version: 9,
    newer: true,
  });
});
