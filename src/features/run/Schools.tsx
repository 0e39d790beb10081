'use client';
import { useState } from 'react';
import { schoolMethod, SCHOOLS, type School } from '@/core/fermentation';
import type { Kit } from '@/core/kit';
import { newStep, type MethodStep } from '@/core/method';
import type { Standing } from '@/core/fermentation/thermalLag';
import type { Run } from '@/core/run';
import { formatDurationRange } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { newLocalId, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { SCHOOL_WORD } from '@/wording/run';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/run/Schools';

/** The steps a school takes the place of: what lies between mixing and the heat. */
const ITS_OWN: ReadonlySet<MethodStep['kind']> = new Set([
  'rest',
  'bulk',
  'fold',
  'divide',
  'shape',
  'proof',
  'chill',
]);

/** How shaped pieces of a run stand. */
const standingOf = ({ bake }: Run): Standing =>
  bake?.shape === 'tin' ? 'tin' : bake?.shape === 'disc' || bake?.shape === 'flatbread' ? 'sheet' : 'pieces';

/** A ready way of letting it rise, with times computed for this dough and this kitchen. */
export function Schools({ run, kit }: { run: Run; kit: Kit }) {
  const { store, edit, settle } = useSheetActions();
  const pieceG = useSheetState((state) => state.formula.usualYield.pieceMassG);
  const { preferences } = usePreferences();
  const [school, setSchool] = useState<School | null>(null);
  const made =
    school &&
    schoolMethod(school, {
      leavening: run.rise.leavening,
      doughC: run.rise.doughC,
      kitchen: kit,
      pieceG,
      standing: standingOf(run),
      ...(run.rise.pressurePa && { pressurePa: run.rise.pressurePa }),
    });
  const take = () => {
    if (!made?.ok) return;
    const { formula } = store.state;
    const first = formula.steps.findIndex((step) => ITS_OWN.has(step.kind));
    const lastMix = formula.steps.map((step) => step.kind).lastIndexOf('mix');
    const at = first === -1 ? lastMix + 1 : first;
    const old = formula.steps.filter((step) => ITS_OWN.has(step.kind));
    const steps = made.value.steps.map((step): MethodStep => {
      // what the baker wrote for the same kind of step stays with it
      const stored = old.find((each) => each.kind === step.kind);
      return {
        ...(stored ?? newStep(step.kind, newLocalId())),
        minS: step.minS,
        maxS: step.maxS !== null && step.minS !== null && step.maxS > step.minS ? step.maxS : null,
        tempC: step.tempC,
        until: step.risePercent === null ? (stored?.until ?? '') : words.risenByAbout(step.risePercent),
      };
    });
    const rest = formula.steps.filter((step) => !ITS_OWN.has(step.kind));
    const before = formula.steps.slice(0, at).filter((step) => !ITS_OWN.has(step.kind)).length;
    edit({
      type: 'bringBack',
      formula: { ...formula, steps: [...rest.slice(0, before), ...steps, ...rest.slice(before)] },
    });
    settle();
    setSchool(null);
  };
  return (
    <details className="border-t border-rule py-2">
      <summary className="min-h-6 cursor-pointer text-sm">{words.letItRiseAnotherWay}</summary>
      <div role="group" aria-label={words.waysOfRising} className="mt-2 flex flex-wrap gap-1.5">
        {SCHOOLS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={school === each}
            title={SCHOOL_WORD[each].hint}
            onClick={() => setSchool(school === each ? null : each)}
            className={buttonClass(school === each ? 'strong' : 'plain', 'table', 'px-2.5')}
          >
            {SCHOOL_WORD[each].word}
          </button>
        ))}
      </div>
      {made && !made.ok && (
        <p className="mt-2 text-sm text-alarm">{wordProblem(made.problem, preferences)}</p>
      )}
      {school && made?.ok && (
        <div className="mt-2">
          <p className="text-sm text-soft">{SCHOOL_WORD[school].hint}</p>
          <ol className="mt-1 text-sm" data-testid="school-steps">
            {made.value.steps.map((step, index) => (
              <li key={`${step.kind} ${index}`} className="flex flex-wrap gap-x-3 border-t border-rule py-1">
                <strong className="w-24">{STEP_WORD[step.kind]}</strong>
                <span className="figure">
                  {step.minS === null ? '' : formatDurationRange(step.minS, step.maxS)}
                </span>
                <span className="text-soft">
                  {step.risePercent === null ? '' : words.untilRisenByAbout(step.risePercent)}
                </span>
              </li>
            ))}
          </ol>
          <Button className="mt-2" look="strong" onClick={take}>
            {words.putThisIntoTheMethod}
          </Button>
        </div>
      )}
    </details>
  );
}
