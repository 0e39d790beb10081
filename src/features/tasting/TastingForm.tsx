'use client';
import { useState } from 'react';
import { isWho, type TakenTasting } from '@/core/bake';
import { OCCASIONS, QUESTIONS, TASTING_LIMITS, type QuestionAbout, type Tasting } from '@/core/tasting';
import type { Ladder } from '@/core/trial';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { ABOUT_WORD, OCCASION_WORD } from '@/wording/tasting';
import { words } from '@/wording/screens/tasting/TastePage';
import { Anchors } from './Anchors';
import { emptyDraft, useTastingDraft, type TastingDraft } from './useTastingDraft';

type Rungs = readonly Pick<Ladder['rungs'][number], 'id' | 'code'>[];
const NO_RUNGS: Rungs = [];
const ABOUTS: readonly QuestionAbout[] = ['look', 'cut', 'feel', 'taste'];

interface TastingFormProps {
  /** Of a ladder: tasted one by one, by their codes. */
  readonly rungs: Rungs;
  /** Where a half-filled card outlives a reload; null: nowhere. */
  readonly lane: string | null;
  readonly card: TakenTasting | undefined;
  readonly first: Tasting['occasion'];
  /** False: it was not taken, and stays as it was filled in. */
  readonly onCard: (tasting: Tasting) => boolean | Promise<boolean>;
}

/** The card itself, wherever it is filled in. */
export function TastingForm({ lane, card, first, onCard, rungs }: TastingFormProps) {
  const start: TastingDraft = card
    ? { taster: card.taster ?? '', occasion: card.occasion, scores: card.scores, words: card.words }
    : { ...emptyDraft, occasion: first };
  const { draft, change, clear } = useTastingDraft(lane, start);
  const [rung, setRung] = useState(rungs[0]?.id ?? '');
  const [fault, setFault] = useState<'empty' | 'name' | null>(null);
  const { taster, occasion, scores } = draft;

  const submit = async () => {
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
    if (!(await onCard(tasting)) || card) return;
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
        void submit();
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
  rungs: Rungs;
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
