import { PHOTO_LIMITS } from '../photo/photoLimits';
import { ok, never, refuse, type Result } from '../result';
import { TASTING_LIMITS } from '../tasting/limits';
import type { Tasting } from '../tasting/tastingSchema';
import type { BakeAction } from './bakeEvent';
import type { BakeState, TakenPhoto, TakenTasting } from './stateShape';

type Looking = Extract<
  BakeAction,
  {
    type:
      | 'tasted'
      | 'tastingTakenBack'
      | 'photographed'
      | 'photoRead'
      | 'photoPutAway'
      | 'advised'
      | 'causeTold'
      | 'teachingSet';
  }
>;

const LOOKING: readonly string[] = ['tasted', 'tastingTakenBack', 'photographed', 'photoRead', 'photoPutAway', 'advised', 'causeTold', 'teachingSet'] satisfies Looking['type'][]; // prettier-ignore

/** Tastings, pictures, and what followed from them: they may come at any time, most of them when the bake is long over. */
export const isLooking = (action: BakeAction): action is Looking => LOOKING.includes(action.type);

export function decideLooking(
  rungIds: readonly string[],
  { tastings, photos, cause, teaches }: BakeState,
  action: Looking,
): Result<BakeAction> {
  // a bread of rungs is tasted rung by rung, another has none
  const rungFits = (rungId: string | null) => (rungId === null ? rungIds.length === 0 : rungIds.includes(rungId));
  switch (action.type) {
    case 'tasted':
      if (!rungFits(action.tasting.rungId)) return refuse('unknownRung', 'tasting.rungId');
      return tastings.has(action.tastingId) || tastings.size < TASTING_LIMITS.perBake
        ? ok(action)
        : refuse('tooMany', 'tastingId', { max: TASTING_LIMITS.perBake });
    case 'tastingTakenBack':
      return tastings.has(action.tastingId) ? ok(action) : refuse('notDoneYet', 'tastingId');
    case 'photographed':
      // a picture of several rungs side by side belongs to none
      if (action.photo.rungId !== null && !rungFits(action.photo.rungId))
        return refuse('unknownRung', 'photo.rungId');
      if (photos.has(action.photo.photoId)) return refuse('alreadyDone', 'photo.photoId');
      return photos.size < PHOTO_LIMITS.perBake
        ? ok(action)
        : refuse('tooMany', 'photo.photoId', { max: PHOTO_LIMITS.perBake });
    case 'photoRead':
      return photos.has(action.photoId) ? ok(action) : refuse('unknownPhoto', 'photoId');
    case 'photoPutAway': {
      const photo = photos.get(action.photoId);
      if (!photo) return refuse('unknownPhoto', 'photoId');
      return photo.away === action.away ? refuse('alreadyDone', 'photoId') : ok(action);
    }
    case 'advised':
      return ok(action);
    case 'causeTold':
      return cause === action.cause ? refuse('alreadyDone', 'cause') : ok(action);
    case 'teachingSet':
      return teaches === action.teaches ? refuse('alreadyDone', 'teaches') : ok(action);
    default:
      return never(action);
  }
} // prettier-ignore

export function afterLooking(state: BakeState, action: Looking, atMs: number, by: string | null): BakeState {
  const { tastings, photos } = state;
  const withPhoto = (photoId: string, change: Partial<TakenPhoto>): BakeState => {
    const photo = photos.get(photoId);
    return photo ? { ...state, photos: new Map(photos).set(photoId, { ...photo, ...change }) } : state;
  };
  switch (action.type) {
    case 'tasted': {
      const { tastingId, tasting } = action;
      const old = tastings.get(tastingId);
      const before = old ? [...old.before, { ...cardOf(old), atMs: old.atMs }] : [];
      const taken = { ...tasting, atMs, by: by ?? old?.by ?? null, before };
      return { ...state, tastings: new Map(tastings).set(tastingId, taken) };
    }
    case 'tastingTakenBack':
      return { ...state, tastings: new Map([...tastings].filter(([id]) => id !== action.tastingId)) };
    case 'photographed':
      return {
        ...state,
        photos: new Map(photos).set(action.photo.photoId, {
          ...action.photo,
          atMs,
          crumb: null,
          away: false,
        }),
      };
    case 'photoRead':
      return withPhoto(action.photoId, { crumb: action.crumb });
    case 'photoPutAway':
      return withPhoto(action.photoId, { away: action.away });
    case 'advised':
      return { ...state, advice: { ...action.advice, atMs } };
    case 'causeTold':
      return { ...state, cause: action.cause };
    case 'teachingSet':
      return { ...state, teaches: action.teaches };
    default:
      return never(action);
  }
}

/** The card alone, as it was filled in. */
export const cardOf = ({ taster, occasion, scores, words, rungId, blind }: TakenTasting): Tasting => ({
  taster,
  occasion,
  scores,
  words,
  rungId,
  blind,
});
