import { EMPTY_DAY, type DayDocument } from '@/core/day/dayDocument';
import { ORDINARY_LIFE, type LifeDocument } from '@/core/day/lifeDocument';
import type { SetAside } from '@/core/documents';
import type { SaveDay, SaveLife } from '@/core/requests';
import { DAYS, LIVES, newestVersion } from '@/db/queries/versions';
import type { Context } from './context';
import { done, type Done } from './failure';
import { saveVersion } from './versions';

export interface Stored<T> {
  /** 0: nobody has said anything yet. */
  readonly version: number;
  readonly value: T;
  /** The newest version cannot be read: an older one stands in for it. */
  readonly setAside?: SetAside;
}
export type StoredDay = Stored<DayDocument>;
export type StoredLife = Stored<LifeDocument>;

/** What a kitchen is going to make. */
export async function loadDay({ pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredDay> {
  const { newest, setAside, version } = await newestVersion(pool, DAYS, kitchen.id);
  return { version, value: newest?.value ?? EMPTY_DAY, ...(setAside && { setAside }) };
}

/** When its hands are free; a plain life until somebody says more. */
export async function loadLife({ pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredLife> {
  const { newest, setAside, version } = await newestVersion(pool, LIVES, kitchen.id);
  return { version, value: newest?.value ?? ORDINARY_LIFE, ...(setAside && { setAside }) };
}

export async function saveDay(context: Context, { requestId, seen, day }: SaveDay): Promise<Done<{ readonly version: number }>> {
  const answer = await saveVersion(context, DAYS, { requestId, seen, value: day }, { alike: true });
  return answer.ok ? done({ version: answer.value.version }) : answer;
} // prettier-ignore

export async function saveLife(context: Context, { requestId, seen, life }: SaveLife): Promise<Done<{ readonly version: number }>> {
  const answer = await saveVersion(context, LIVES, { requestId, seen, value: life });
  return answer.ok ? done({ version: answer.value.version }) : answer;
} // prettier-ignore
