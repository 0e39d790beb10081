import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import type { Tasting } from '../tasting';
import { pooled, missedBy, QUESTIONS, tastingSchema } from '../tasting';
import { afterEvent, bakeState, type BakeState } from './bakeState';
import type { BakeAction } from './bakeEvent';
import { decide } from './decide';
import { emptyOutcome } from './outcome';
import { undoOf } from './undo';

const sheet = loafSheet();
const [ANNA, PHOTO] = ['7c3f0d55-3b55-4f0c-8a2b-000000000001', '7c3f0d55-3b55-4f0c-8a2b-000000000002'];
const after = (state: BakeState, ...actions: readonly BakeAction[]) =>
  actions.reduce((so, action) => {
    expect(decide(sheet, so, action, libraryBook)).toEqual({ ok: true, value: action });
    return afterEvent(so, { seq: so.lastSeq + 1, atMs: 60_000 * (so.lastSeq + 1), action, by: 'Imke' });
  }, state);
const refusal = (state: BakeState, action: BakeAction) => {
  const decided = decide(sheet, state, action, libraryBook);
  return decided.ok ? null : `${decided.problem.code} ${decided.problem.path}`;
};
const tasted = (scores: Tasting['scores'], part: Partial<Tasting> = {}, tastingId = ANNA): BakeAction => ({
  type: 'tasted', tastingId, tasting: { taster: 'Anna', occasion: 'fresh', scores, words: '', rungId: null, blind: false, ...part },
}); // prettier-ignore
const photo = (photoId = PHOTO): BakeAction => ({
  type: 'photographed', photo: { photoId, of: 'cut', widthPx: 800, heightPx: 600, rungId: null },
}); // prettier-ignore
const ended = after(bakeState(0, []), { type: 'closed', outcome: emptyOutcome });

test('bread is tasted when its bake is long over; said again it is a correction that keeps both', () => {
  const once = after(ended, tasted({ height: 4, gumminess: 2 }));
  const put = after(once, tasted({ height: 4, gumminess: 3 }, { words: 'not so bad' }));
  expect(put.tastings.get(ANNA)).toMatchObject({
    scores: { height: 4, gumminess: 3 },
    words: 'not so bad',
    by: 'Imke',
    before: [{ scores: { height: 4, gumminess: 2 }, words: '' }],
  });
  expect(put.endedAtMs).toBe(ended.endedAtMs);
  const back = after(put, { type: 'tastingTakenBack', tastingId: ANNA });
  expect(back.tastings.size).toBe(0);
  expect(refusal(back, { type: 'tastingTakenBack', tastingId: ANNA })).toBe('notDoneYet tastingId');
});

test('a bread without rungs is tasted and photographed as one, and two hundred cards are enough', () => {
  expect(refusal(ended, tasted({ height: 4 }, { rungId: 'a' }))).toBe('unknownRung tasting.rungId');
  const full = after(
    ended,
    ...Array.from({ length: 200 }, (_, index) =>
      tasted({ height: 3 }, {}, `7c3f0d55-3b55-4f0c-8a2b-${String(index).padStart(12, '0')}`),
    ),
  );
  expect(refusal(full, tasted({ height: 3 }, {}, '7c3f0d55-3b55-4f0c-8a2b-000000009999'))).toBe(
    'tooMany tastingId',
  );
  // a correction is no more of them
  expect(refusal(full, tasted({ height: 4 }, {}, ANNA))).toBeNull();
});

test('a picture comes once, what is read of it may change, and put away it can be fetched again', () => {
  const crumb = {
    reader: 1, porosityPercent: 40, holes: 90, middleHolePercent: 4, evenness: 0.8, tunnelPercent: 8, denseLinePercent: 2,
    heightToWidth: 0.9, outline: [{ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }], marks: [],
  }; // prettier-ignore
  const shown = after(ended, photo());
  expect(refusal(shown, photo())).toBe('alreadyDone photo.photoId');
  const read = after(shown, { type: 'photoRead', photoId: PHOTO, crumb });
  expect(read.photos.get(PHOTO)).toMatchObject({ of: 'cut', widthPx: 800, crumb, away: false });
  const away = after(read, { type: 'photoPutAway', photoId: PHOTO, away: true });
  expect(refusal(away, { type: 'photoPutAway', photoId: PHOTO, away: true })).toBe('alreadyDone photoId');
  expect(away.photos.get(PHOTO)).toMatchObject({ away: true, crumb });
  for (const action of [{ type: 'photoRead', photoId: ANNA, crumb: null }, { type: 'photoPutAway', photoId: ANNA, away: true }] as const)
    expect(refusal(away, action)).toBe('unknownPhoto photoId');
  let full = away;
  for (let index = 0; full.photos.size < 40; index++)
    full = after(full, photo(`7c3f0d55-3b55-4f0c-8a2b-1${String(index).padStart(11, '0')}`));
  expect(refusal(full, photo(ANNA))).toBe('tooMany photo.photoId');
}); // prettier-ignore

test.each<[string, BakeAction[], BakeAction]>([
  ['a tasting', [], tasted({ height: 4 })],
  ['a correction', [tasted({ height: 4 })], tasted({ height: 2 })],
  ['a tasting taken back', [tasted({ height: 4 })], { type: 'tastingTakenBack', tastingId: ANNA }],
  ['a picture put away', [photo()], { type: 'photoPutAway', photoId: PHOTO, away: true }],
])('%s is taken back', (_, first, action) => {
  const seen = ({ tastings, photos }: BakeState) => [
    [...tastings].map(([id, { scores }]) => [id, scores]),
    [...photos].map(([id, { away }]) => [id, away]),
  ];
  const before = after(ended, ...first);
  const back = after(after(before, action), ...undoOf(before, action, 0));
  expect(seen(back)).toEqual(seen(before));
  expect(seen(after(before, action))).not.toEqual(seen(before));
});

test('advice that was taken, what it was, and whether it teaches: the newest word counts, said twice is refused', () => {
  const START = bakeState(0, []);
  const advice = { cause: 'underBaked', probability: 0.7, change: { kind: 'bake', by: 1.2 }, revision: 4, expects: [] } as const;
  expect(START.teaches).toBe(true);
  const taken = after(after(START, { type: 'advised', advice: { ...advice, expects: [] } }), { type: 'causeTold', cause: 'coolOven' });
  expect(taken).toMatchObject({ advice, cause: 'coolOven' });
  expect(refusal(taken, { type: 'causeTold', cause: 'coolOven' })).toBe('alreadyDone cause');
  expect(after(taken, { type: 'causeTold', cause: null }).cause).toBeNull();
  expect(refusal(START, { type: 'teachingSet', teaches: true })).toBe('alreadyDone teaches');
  expect(after(START, { type: 'teachingSet', teaches: false }).teaches).toBe(false);
}); // prettier-ignore

test('a card that says nothing is none', () => {
  const empty = { taster: null, occasion: 'fresh', scores: {}, words: ' ', rungId: null, blind: false };
  expect(tastingSchema.safeParse(empty).success).toBe(false);
  expect(tastingSchema.safeParse({ ...empty, words: 'burnt' }).success).toBe(true);
  expect(tastingSchema.safeParse({ ...empty, scores: { height: 6 } }).success).toBe(false);
  expect(tastingSchema.safeParse({ ...empty, scores: { length: 3 } }).success).toBe(false);
});

test('several tasters together: by occasion and rung, with how far apart they are', () => {
  const card = (occasion: Tasting['occasion'], scores: Tasting['scores'], rungId: string | null = null) => ({ occasion, scores, rungId });
  const cards = [
    card('fresh', { height: 3, bend: 5 }), card('fresh', { height: 5 }), card('fresh', { height: 4 }),
    card('nextDay', { height: 1 }), card('fresh', { height: 2 }, 'b'),
  ];
  const together = pooled(cards, { occasion: 'fresh', rungId: null });
  // 3, 4 and 5: mean 4, standard deviation 1
  expect(together.get('height')).toEqual({ mean: 4, spread: 1, count: 3 });
  expect(together.get('bend')).toEqual({ mean: 5, spread: null, count: 1 });
  expect(together.get('crust')).toBeUndefined();
  expect(pooled(cards, { occasion: 'fresh' }).get('height')).toMatchObject({ mean: 3.5, count: 4 });
  expect(missedBy('moistness', 5)).toBe(2);
  expect(missedBy('gumminess', 2)).toBe(-3);
  expect(missedBy('openness', 1)).toBeNull();
  expect(new Set(QUESTIONS.map(({ id }) => id)).size).toBe(QUESTIONS.length);
}); // prettier-ignore
