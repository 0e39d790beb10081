'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { TraceFit } from '@/core/heat';
import { readProbeTrace } from '@/core/kit';
import { bakeQuestionOf, type Run, type RunFeel, type RunForecast } from '@/core/run';
import { formatDecimal } from '@/core/units';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';
import { useKeptKit } from '../kit/KitProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';
import { client } from './useRunForecast';

interface ProbeFitProps {
  run: Run;
  feel: RunFeel;
  forecast: RunForecast;
  ovenId: string;
}

const EXAMPLE = 'min;°C\n0;27\n10;34\n20;58\n30;79\n40;92';

/** A probe left in the middle of this bake tells what the oven really does: fitted, shown with how sure it is, used from then on. */
export function ProbeFit({ run, feel, forecast, ovenId }: ProbeFitProps) {
  const router = useRouter();
  const kept = useKeptKit();
  const units = useUnits();
  const { preferences } = usePreferences();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [fit, setFit] = useState<TraceFit | null>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);
  const oven = kept.kit.ovens.find((each) => each.id === ovenId);
  if (!oven) return null;
  const scale = units.temperatureUnit === '°F' ? 1.8 : 1;
  const reckon = async () => {
    setFit(null);
    setDone(false);
    setTrouble(null);
    const trace = readProbeTrace(text);
    if (!trace.ok) {
      const where = /^line \d+$/.test(trace.problem.path)
        ? `${trace.problem.path[0]?.toUpperCase()}${trace.problem.path.slice(1)}: `
        : '';
      return setTrouble(`${where}${wordProblem(trace.problem, preferences)}`);
    }
    const bake = bakeQuestionOf(run, forecast.rise, feel);
    if (!bake) return setTrouble('There is no bake in this method.');
    setBusy(true);
    try {
      const answer = await client().ask('fit', 'fit', { bake, trace: trace.value });
      if (answer?.ok) setFit(answer.value);
      else if (answer)
        setTrouble(
          answer.problem.code === 'notSolvable'
            ? 'No oven of this kind makes that trace with this piece and this method. Check the weight, the tin and the times above, and that the probe sat in the middle.'
            : wordProblem(answer.problem, preferences),
        );
    } catch {
      setTrouble('The reckoning broke off. Press again.');
    }
    setBusy(false);
  };
  const use = async () => {
    if (!fit) return;
    const fitted = { ...fit.oven, missC: fit.missC, traces: (oven.fitted?.traces ?? 0) + 1 };
    const kit = {
      ...kept.kit,
      ovens: kept.kit.ovens.map((each) => (each.id === ovenId ? { ...each, fitted } : each)),
    };
    setBusy(true);
    const answer = await ask('/api/kit', { requestId: newUuid(), seen: kept.version, kit });
    setBusy(false);
    if (answer.kind === 'ok') {
      setDone(true);
      setFit(null);
      setText('');
      router.refresh();
    } else
      setTrouble(
        answer.kind === 'stale'
          ? 'Somebody changed the kit in between. Reload this page and fit again.'
          : 'That did not reach the server. Nothing was changed; press again.',
      );
  };
  return (
    <details className="border-t border-rule py-2">
      <summary className="min-h-6 cursor-pointer text-sm">Had a probe in it? Fit: {oven.name}</summary>
      <p className="mt-2 text-sm text-soft">
        Time and core temperature, one reading a line, from the moment of loading. It is fitted for this
        formula as it stands on the sheet.
      </p>
      <textarea
        aria-label="Probe readings"
        rows={5}
        value={text}
        maxLength={400_000}
        placeholder={EXAMPLE}
        onChange={(event) => setText(event.currentTarget.value)}
        className="mt-1 w-full rounded border border-edge bg-sheet p-2 font-mono text-sm"
      />
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <label className="inline-flex min-h-9 items-center gap-2 text-sm">
          or a file
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            onChange={(event) => {
              const file = event.currentTarget.files?.[0];
              if (!file) return;
              if (file.size > 400_000) return setTrouble('That file is too big for a probe’s log.');
              void file.text().then(setText);
            }}
          />
        </label>
        <Button look="strong" disabled={busy || text.trim() === ''} onClick={() => void reckon()}>
          {busy ? 'Fitting …' : 'Fit the oven'}
        </Button>
      </div>
      {trouble && (
        <p role="alert" className="mt-1 text-sm text-alarm">
          {trouble}
        </p>
      )}
      {fit && (
        <div className="mt-2" data-testid="fitted">
          <p className="text-sm">
            The oven is{' '}
            <strong className="figure text-lg">
              {formatDecimal(Math.abs(fit.oven.offsetC * scale), 0)}°
            </strong>{' '}
            {fit.oven.offsetC < 0 ? 'cooler' : 'hotter'} than its dial (±{' '}
            {formatDecimal(1.2816 * fit.oven.offsetSdC * scale, 0)}) and heats{' '}
            <strong className="figure text-lg">{formatDecimal(100 * fit.oven.transfer, 0)} %</strong> of an
            ordinary one (± {formatDecimal(128 * fit.oven.transfer * fit.oven.transferCv, 0)}). The fitted
            bake misses the {fit.points} readings by {formatDecimal(fit.missC * scale, 1)}°.
          </p>
          <Button className="mt-1" look="strong" disabled={busy} onClick={() => void use()}>
            Use this from now on
          </Button>
        </div>
      )}
      {done && (
        <p role="status" className="mt-2 text-sm">
          Kept with {oven.name}; every run is reckoned with it now.
        </p>
      )}
    </details>
  );
}
