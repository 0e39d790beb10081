import { libraryBook } from '@/core/ingredients';
import { readKitchenFile } from '@/core/formats';
import { ok, refuse, type Result } from '@/core/result';
import type { KitchenRow } from '@/db/queries/kitchens';
import { transaction } from '@/db/transaction';
import { insertPictures } from './insertPictures';
import { insertKitchenFile, type ImportAs, type Importer } from './importKitchen';
import { readArchive, type ArchiveLimits } from './kitchenArchive';

/**
 * Makes a kitchen out of an archive, pictures included, whole or not at all. A picture that the text tells of and that is not in the archive
 * stays told of: its place says that it is not here.
 *
 * @param from its bytes, or the name of a file
 */
export async function importArchive(
  { pool, newId }: Importer,
  from: Buffer | string,
  limits: ArchiveLimits,
  as: ImportAs = {},
): Promise<Result<KitchenRow>> {
  const archive = await readArchive(from, limits);
  if (!archive.ok) return archive;
  const { data, pictureIds, picture, close } = archive.value;
  try {
    const read = readKitchenFile(data, libraryBook);
    if (!read.ok) return read;
    let bad: Result<never> | null = null;
    const made = await transaction(pool, async (client) => {
      const kitchen = await insertKitchenFile(client, read.value, newId, as);
      const broken = await insertPictures(client, kitchen.id, read.value, pictureIds, picture);
      if (broken !== null) {
        bad = refuse('noPhoto', `photos/${broken}`, { why: 'broken' });
        throw new NotTaken();
      }
      return kitchen;
    }).catch((error: unknown) => {
      if (error instanceof NotTaken && bad) return bad;
      throw error;
    });
    return 'ok' in made ? made : ok(made);
  } finally {
    close();
  }
}

/** Leaves the transaction: nothing of it is saved. */
class NotTaken extends Error {}
