import { Readable } from 'node:stream';

/**
 * Pieces of a text as they are made. The first is fetched before the answer begins: a database that is away is still told as such. Whoever leaves, also
 * before anything was read, ends the making.
 */
export async function streamed(pieces: AsyncGenerator<string, void>): Promise<Readable> {
  const first = await pieces.next();
  const text = Readable.from(
    (async function* () {
      if (!first.done) yield first.value;
      yield* pieces;
    })(),
    { objectMode: false },
  );
  return text.on('close', () => void pieces.return(undefined));
}
