'use client';
import { Flame, Layers, Snowflake, type LucideIcon } from 'lucide-react';
import { useState } from 'react';
import { READING_C, remedyOf, type BakeAction, type NotRight } from '@/core/bake';
import type { MethodStep } from '@/core/method';
import { formatDuration, within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/NotRightDialog';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

interface NotRightDialogProps {
  readonly step: MethodStep;
  readonly bench: Bench;
  /** How long it has been in, s. */
  readonly tookS: number;
  /** Of that in this very step, s. */
  readonly ranS: number;
  readonly onClose: () => void;
}

const ICONS: Record<NotRight, LucideIcon> = { topDark: Flame, baseWet: Layers, ovenCold: Snowflake };
const COLD_MIN = [5, 10, 15, 20, 30, 45] as const;

/** What is wrong with what bakes, and what to do about it while it can still be mended. */
export function NotRightDialog({ step, bench: { tap }, tookS, ranS, onClose }: NotRightDialogProps) {
  const [what, setWhat] = useState<NotRight | null>(null);
  const [coreC, setCoreC] = useState<number | null>(null);
  const [coldS, setColdS] = useState<number | null>(null);
  return (
    <Dialog onClose={onClose} title={what === null ? words.title : words.names[what]} hint={what === null ? words.hint : ''}>
      {what === null ? (
        <div className="grid gap-3">
          {(Object.keys(words.names) as NotRight[]).map((each) => {
            const Icon = ICONS[each];
            return (
              <Button key={each} size="bench" className="justify-start gap-4 text-left text-xl" onClick={() => setWhat(each)}>
                <Icon size={26} aria-hidden className="shrink-0" />
                {words.names[each]}
              </Button>
            );
          })}
        </div>
      ) : (
        <>
          {what === 'topDark' && <Core coreC={coreC} onCore={setCoreC} />}
          {what === 'ovenCold' && (
            <fieldset>
              <legend className="text-xl">{words.coldFor}</legend>
              <div className="mt-2 grid grid-cols-3 gap-2">
                {COLD_MIN.map((min) => (
                  <Button key={min} size="bench" look={coldS === 60 * min ? 'strong' : 'plain'} aria-pressed={coldS === 60 * min} onClick={() => setColdS(60 * min)}>
                    {words.minutes(min)}
                  </Button>
                ))}
              </div>
            </fieldset>
          )}
          <Answer what={what} step={step} coreC={coreC} coldS={coldS} tookS={tookS} ranS={ranS} tap={tap} onClose={onClose} />
          <Button size="bench" className="mt-3 w-full" onClick={() => setWhat(null)}>{words.back}</Button>
        </>
      )}
    </Dialog>
  );
} // prettier-ignore

function Core({ coreC, onCore }: { coreC: number | null; onCore: (coreC: number | null) => void }) {
  const units = useUnits();
  const { preferences } = usePreferences();
  return (
    <>
    <p className="text-xl">{words.core}</p>
    <Cell size="bench" label={words.core} testId="not-right-core" unit={units.temperatureUnit} value={coreC === null ? '' : units.temperatureNumber(coreC)}
      onType={(text) => {
        const typed = units.parseTemperature(text);
        const value = typed.ok ? within(typed.value, READING_C, 'tempC') : typed;
        onCore(value.ok ? Math.round(value.value * 10) / 10 : null);
        return value.ok ? null : wordProblem(value.problem, preferences);
      }} />
    </>
  );
} // prettier-ignore

interface AnswerProps extends Pick<NotRightDialogProps, 'step' | 'tookS' | 'ranS' | 'onClose'> {
  readonly what: NotRight;
  readonly coreC: number | null;
  readonly coldS: number | null;
  readonly tap: Bench['tap'];
}

/** How much longer, how hot, and the core that counts. */
function Answer({ what, step, coreC, coldS, tookS, ranS, tap, onClose }: AnswerProps) {
  const units = useUnits();
  const { altitudeM } = useStoredKit().kit;
  const remedy = remedyOf(what, step, { coreC, coldS }, tookS, altitudeM);
  if (!remedy) {
    if (what === 'topDark') return <p className="mt-4 text-xl">{coreC === null ? words.sayTheCore : words.notShort(units.temperature(coreC))}</p>;
    return null;
  }
  const { moreS, leastS, mostS, tempC, targetC } = remedy;
  const temp = tempC === null ? null : units.temperature(tempC);
  const take = () => {
    const read: BakeAction[] = what === 'topDark' && coreC !== null ? [{ type: 'reading', of: 'core', tempC: coreC, stepId: step.id }] : [];
    const set: BakeAction[] = tempC === null ? [] : [{ type: 'setAnew', stepIds: [step.id], durationS: Math.max(60, Math.round(ranS / 60) * 60) + moreS, tempC }];
    if (tap(...read, ...set, { type: 'notYet', stepId: step.id, againS: moreS }) === null) onClose();
  };
  return (
    <div className="mt-4" data-testid="remedy">
      <p className="figure text-6xl">{words.more(formatDuration(moreS))}</p>
      <p className="mt-1 text-xl">{words.span(formatDuration(leastS), formatDuration(mostS))} <strong>{words.target(units.temperature(targetC))}</strong></p>
      <p className="mt-2 text-xl">{words.how[what](temp)}</p>
      <Button look="now" size="bench" className="mt-4 w-full text-2xl" onClick={take}>{words.take(formatDuration(moreS))}</Button>
    </div>
  );
} // prettier-ignore
