'use client';
import { useState } from 'react';
import { LOOK_COLOURS, READING_C, type BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/bench/Round';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';

interface LookDialogProps {
  readonly stepId: string;
  /** Which of them. */
  readonly what: string;
  readonly tap: (action: BakeAction) => Problem | null;
  readonly onClose: () => void;
}

/** What came out: its core and its colour, in two touches. */
export function LookDialog({ stepId, what, tap, onClose }: LookDialogProps) {
  const units = useUnits();
  const { preferences } = usePreferences();
  const [coreC, setCoreC] = useState<number | null>(null);
  const [colour, setColour] = useState<(typeof LOOK_COLOURS)[number] | null>(null);
  const [reason, setReason] = useState<string | null>(null);
  const save = () => {
    if (coreC === null && colour === null) return setReason(words.saySomething);
    const rounded = coreC === null ? null : Math.round(coreC * 10) / 10;
    const problem = tap({ type: 'looked', stepId, coreC: rounded, colour });
    if (problem) return setReason(wordProblem(problem, preferences));
    onClose();
  };
  return (
    <Dialog onClose={onClose} title={words.howWas(what)} hint={words.lookHint}>
      <div role="group" aria-label={words.colour} className="grid grid-cols-3 gap-2">
        {LOOK_COLOURS.map((each) => (
          <Button
            key={each}
            size="bench"
            look={colour === each ? 'strong' : 'plain'}
            aria-pressed={colour === each}
            className="min-h-16 px-1"
            onClick={() => setColour(colour === each ? null : each)}
          >
            {words.colours[each]}
          </Button>
        ))}
      </div>
      <div className="mt-4">
        <Cell
          size="bench"
          label={words.core}
          testId="look-core"
          unit={units.temperatureUnit}
          value={coreC === null ? '' : units.temperatureNumber(coreC)}
          onType={(text) => {
            if (text.trim() === '') {
              setCoreC(null);
              return null;
            }
            const typed = units.parseTemperature(text);
            const value = typed.ok ? within(typed.value, READING_C, 'coreC') : typed;
            setCoreC(value.ok ? value.value : null);
            return value.ok ? null : wordProblem(value.problem, preferences);
          }}
        />
      </div>
      <Reason>{reason ?? undefined}</Reason>
      <Button look="now" size="bench" className="mt-4 w-full" onClick={save}>
        {words.save}
      </Button>
    </Dialog>
  );
}
