'use client';
import type { TraceFit } from '@/core/heat';
import { Z80 } from '@/core/numeric';
import { Button } from '@/ui/Button';
import { useStoredKit } from '../kit/KitProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { useProbeFit, type ProbeQuestion } from './useProbeFit';
import { words } from '@/wording/screens/run/ProbeFit';

const EXAMPLE = 'min;°C\n0;27\n10;34\n20;58\n30;79\n40;92';
const MOST_BYTES = 400_000;

/** A probe left in the middle of this bake tells what the oven really does: fitted, shown with how sure it is, used from then on. */
export function ProbeFit(question: ProbeQuestion) {
  const probe = useProbeFit(question);
  const { text, busy, trouble, fitted, done } = probe;
  const oven = useStoredKit().kit.ovens.find((each) => each.id === question.ovenId);
  if (!oven) return null;
  return (
    <details className="border-t border-rule py-2">
      <summary className="min-h-6 cursor-pointer text-sm">{words.hadAProbeInIt(oven.name)}</summary>
      <p className="mt-2 text-sm text-soft">{words.timeAndCoreTemperatureOne}</p>
      <textarea
        aria-label={words.probeReadings}
        rows={5}
        value={text}
        maxLength={MOST_BYTES}
        placeholder={EXAMPLE}
        onChange={(event) => probe.setText(event.currentTarget.value)}
        className="mt-1 w-full rounded border border-edge bg-surface p-2 font-mono text-sm"
      />
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <label className="inline-flex min-h-9 items-center gap-2 text-sm">
          {words.orAFile}
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            onChange={(event) => {
              const file = event.currentTarget.files?.[0];
              if (!file) return;
              if (file.size > MOST_BYTES) return probe.setTrouble(words.thatFileIsTooBig);
              void file.text().then(probe.setText);
            }}
          />
        </label>
        <Button look="strong" disabled={busy || text.trim() === ''} onClick={() => void probe.fit()}>
          {busy ? words.fitting : words.fitTheOven}
        </Button>
      </div>
      {trouble && (
        <p role="alert" className="mt-1 text-sm text-alarm">
          {trouble}
        </p>
      )}
      {fitted && <Fitted fitted={fitted} busy={busy} onUse={() => void probe.use()} />}
      {done && (
        <p role="status" className="mt-2 text-sm">
          {words.savedWithEveryTimeline(oven.name)}
        </p>
      )}
    </details>
  );
}

function Fitted({ fitted, busy, onUse }: { fitted: TraceFit; busy: boolean; onUse: () => void }) {
  const numbers = useNumbers();
  const { degreesPerC } = useUnits();
  const { oven, points, missC } = fitted;
  return (
    <div className="mt-2" data-testid="fitted">
      <p className="text-sm">
        {words.theOvenIs}
        <strong className="figure text-lg">
          {numbers.decimal(Math.abs(oven.offsetC * degreesPerC), 0)}°
        </strong>
        {words.thanItsDialAndHeats(
          oven.offsetC < 0 ? words.cooler : words.hotter,
          numbers.decimal(Z80 * oven.offsetSdC * degreesPerC, 0),
        )}
        <strong className="figure text-lg">{numbers.decimal(100 * oven.transfer, 0)} %</strong>
        {words.ofAnOrdinaryOneThe(
          numbers.decimal(100 * Z80 * oven.transfer * oven.transferCv, 0),
          points,
          numbers.decimal(missC * degreesPerC, 1),
        )}
      </p>
      <Button className="mt-1" look="strong" disabled={busy} onClick={onUse}>
        {words.useThisFromNowOn}
      </Button>
    </div>
  );
}
