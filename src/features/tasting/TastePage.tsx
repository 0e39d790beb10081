'use client';
import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import { isWho, type BakeRecord, type TakenTasting } from '@/core/bake';
import { OCCASIONS, QUESTIONS, TASTING_LIMITS, type QuestionAbout, type Tasting } from '@/core/tasting';
import type { Ladder } from '@/core/trial';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { Segmented } from '@/ui/Segmented';
import { useBench } from '../bench/useBench';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import { ABOUT_WORD, OCCASION_WORD } from '@/wording/tasting';
import { words } from '@/wording/screens/tasting/TastePage';
import { Anchors } from './Anchors';
import { emptyDraft, useTastingDraft, type TastingDraft } from './useTastingDraft';

interface TastePageProps {
  readonly bake: BakeRecord;
  readonly nowMs: number;
  readonly epoch: string;
  /** A card that is put right; null: a new one. */
  readonly cardId: string | null;
}

const ABOUTS: readonly QuestionAbout[] = ['look', 'cut', 'feel', 'taste'];
const DAY_MS = 86_400_000;

/** The tasting card of a bake, on the baker's own screen: one taster after the other, none seeing what another said. */
export function TastePage({ bake, nowMs, epoch, cardId }: TastePageProps) {
  const { state, outbox, tap } = useBench(bake, { nowMs, epoch });
  const { preferences } = usePreferences();
  const time = useKitchenTime();
  const card = cardId === null ? undefined : state.tastings.get(cardId);
  const [saved, setSaved] = useState<string | null>(null);
  return (
    <>
      <KitchenLink
        href={`/logbook/${bake.id}`}
        className="inline-flex min-h-8 items-center gap-1 text-sm text-link underline"
      >
        <ArrowLeft size={15} aria-hidden />
        {words.theBake}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{card ? words.putRight : words.tasting(bake.sheet.name)}</h1>
      <p className="text-soft">{words.ofThe(time.dayAndYear(bake.startedAtMs))}</p>
      {outbox.refused && (
        <p role="alert" className="my-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {wordProblem(outbox.refused, preferences)}
        </p>
      )}
      {saved !== null && (
        <p role="status" className="my-3 rounded border border-edge bg-surface px-3 py-2">
          {words.saved(saved)}
        </p>
      )}
      <TastingForm
        key={cardId ?? 'new'}
        rungs={bake.sheet.ladder?.rungs ?? NO_RUNGS}
        bakeId={bake.id}
        card={card}
        // bread of yesterday is tasted as such, unless somebody says otherwise
        first={nowMs - (state.endedAtMs ?? bake.startedAtMs) > 0.7 * DAY_MS ? 'nextDay' : 'fresh'}
        onCard={(tasting) => {
          const problem = tap({ type: 'tasted', tastingId: cardId ?? newUuid(), tasting });
          if (!problem) {
            setSaved(tasting.taster ?? words.somebody);
            window.scrollTo({ top: 0 });
          }
          return problem === null;
        }}
      />
    </>
  );
}

const NO_RUNGS: Ladder['rungs'] = [];

interface TastingFormProps {
  /** Of a ladder: tasted one by one, by their codes. */
  readonly rungs: Ladder['rungs'];
  readonly bakeId: string;
  readonly card: TakenTasting | undefined;
  readonly first: Tasting['occasion'];
  readonly onCard: (tasting: Tasting) => boolean;
}

function TastingForm({ bakeId, card, first, onCard, rungs }: TastingFormProps) {
  const kitchen = useKitchen();
  const start: TastingDraft = card
    ? { taster: card.taster ?? '', occasion: card.occasion, scores: card.scores, words: card.words }
    : { ...emptyDraft, occasion: first };
  const lane = card ? null : kitchen.lane(`form:taste-${bakeId}`);
  const { draft, change, clear } = useTastingDraft(lane, start);
  const [rung, setRung] = useState(rungs[0]?.id ?? '');
  const [fault, setFault] = useState<'empty' | 'name' | null>(null);
  const { taster, occasion, scores } = draft;

  const submit = () => {
    const name = taster.trim();
    if (name !== '' && !isWho(name)) return setFault('name');
    if (Object.keys(scores).length === 0 && draft.words.trim() === '') return setFault('empty');
    setFault(null);
    const { rungId, blind } = card ?? { rungId: rungs.length > 0 ? rung : null, blind: rungs.length > 0 };
    const tasting = {
      taster: name === '' ? null : name,
      occasion,
      scores,
      words: draft.words.trim(),
      rungId,
      blind,
    };
    // the next taster begins with an empty card
    if (!onCard(tasting) || card) return;
    // a ladder goes on with the next bread for the same taster; else the next taster begins with an empty card
    const next = rungs[rungs.findIndex(({ id }) => id === rung) + 1] ?? rungs[0];
    if (next) setRung(next.id);
    clear({ ...emptyDraft, occasion, taster: next && next !== rungs[0] ? taster : '' });
  };
  return (
    <form
      noValidate
      className="docket mt-3 max-w-4xl rounded-b-xl p-4 sm:p-6"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Who
        draft={draft}
        onChange={change}
        isWrong={fault === 'name'}
        rungs={card ? NO_RUNGS : rungs}
        rung={rung}
        onRung={setRung}
      />
      <p className="mt-2 text-sm text-soft">{words.leaveOpen}</p>
      <Questions scores={scores} onScores={(next) => change({ scores: next })} />
      <label className="mt-5 block">
        <span className="text-lg font-semibold">{words.inWords}</span>
        <textarea
          value={draft.words}
          rows={3}
          maxLength={TASTING_LIMITS.wordsLength}
          onChange={(event) => change({ words: event.target.value })}
          className="mt-1 w-full rounded-lg border border-edge bg-surface p-3 text-lg"
        />
      </label>
      {fault && (
        <p role="alert" className="mt-3 text-alarm">
          {fault === 'name' ? words.noName : words.nothingSaid}
        </p>
      )}
      <Button type="submit" look="now" size="wall" data-primary className="mt-4 w-full">
        {card ? words.saveCorrection : words.saveCard}
      </Button>
    </form>
  );
}

function Questions({
  scores,
  onScores,
}: {
  scores: Tasting['scores'];
  onScores: (scores: Tasting['scores']) => void;
}) {
  return ABOUTS.map((about) => (
    <section key={about} aria-label={ABOUT_WORD[about]} className="mt-5">
      <h2 className="text-2xl">{ABOUT_WORD[about]}</h2>
      {QUESTIONS.filter((question) => question.about === about).map(({ id }) => (
        <Anchors
          key={id}
          id={id}
          value={scores[id] ?? null}
          onChange={(score) => {
            const { [id]: _, ...others } = scores;
            onScores(score === null ? others : { ...scores, [id]: score });
          }}
        />
      ))}
    </section>
  ));
}

interface WhoProps {
  draft: TastingDraft;
  onChange: (part: Partial<TastingDraft>) => void;
  isWrong: boolean;
  rungs: Ladder['rungs'];
  rung: string;
  onRung: (id: string) => void;
}

/** Who tastes, when, and of a ladder which bread. */
function Who({ draft, onChange, isWrong, rungs, rung, onRung }: WhoProps) {
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <label className="min-w-56 flex-1">
          <span className="text-lg font-semibold">{words.whoTastes}</span>
          <input
            value={draft.taster}
            maxLength={60}
            aria-invalid={isWrong}
            onChange={(event) => onChange({ taster: event.target.value })}
            className="mt-1 min-h-12 w-full rounded-lg border border-edge bg-surface px-3 text-xl"
          />
        </label>
        <Segmented
          size="bench"
          label={words.when}
          value={draft.occasion}
          onChange={(value) => onChange({ occasion: value })}
          options={OCCASIONS.map((value) => ({ value, label: OCCASION_WORD[value] }))}
        />
      </div>
      {rungs.length > 0 && (
        <div className="mt-4">
          <span className="text-lg font-semibold">{words.whichBread}</span>
          <Segmented
            size="bench"
            label={words.whichBread}
            value={rung}
            onChange={onRung}
            options={rungs.map(({ id, code }) => ({ value: id, label: code }))}
          />
        </div>
      )}
    </>
  );
}
