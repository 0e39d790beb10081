'use client';
import { useState } from 'react';
import { within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Segmented } from '@/ui/Segmented';
import { words } from '@/wording/screens/bench/ScaleWay';
import { wordProblem } from '@/wording/problems';
import { BesideGramsChoice } from '../measured/InMeasures';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import type { ScaleUse } from './scaleStore';

interface ScaleWayProps {
  readonly scale: ScaleUse;
  readonly onScale: (part: Partial<ScaleUse>) => void;
}

/** How the scale is read, and what stands beside the grams. */
export function ScaleWay({ scale, onScale }: ScaleWayProps) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <Segmented
        label={words.howTheScaleIsUsed}
        size="bench"
        className="max-sm:w-full"
        value={scale.way}
        onChange={(way) => onScale({ way })}
        options={[
          { value: 'zero', label: words.zeroEachTime },
          { value: 'running', label: words.runningTotal },
          { value: 'jug', label: words.inAJug },
        ]}
      />
      {scale.way === 'running' && (
        <label className="flex items-center gap-2 text-lg">
          {words.bowl}
          <MassCell label={words.weightOfTheEmptyBowl} massG={scale.bowlG} onMass={(bowlG) => onScale({ bowlG })} />
        </label>
      )}
      {scale.way === 'jug' && <Jugs scale={scale} onScale={onScale} />}
      <BesideGramsChoice />
    </div>
  );
} // prettier-ignore

/** The jugs of this bench by their names; one is in use. */
function Jugs({ scale: { jug, jugs }, onScale }: ScaleWayProps) {
  const units = useUnits();
  const [adding, setAdding] = useState(jugs.length === 0);
  const [name, setName] = useState('');
  const [massG, setMassG] = useState(0);
  const good = name.trim() !== '' && massG > 0;
  const add = () => {
    const made = { name: name.trim(), massG };
    onScale({ jugs: [...jugs.filter((each) => each.name !== made.name), made].slice(-20), jug: made.name });
    setAdding(false);
    setName('');
  };
  return (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label={words.jugs}>
      {jugs.map((each) => (
        <Button key={each.name} size="bench" look={each.name === jug ? 'strong' : 'plain'} aria-pressed={each.name === jug} className="min-h-12 px-4 text-lg" onClick={() => onScale({ jug: each.name })}>
          {each.name} <span className="font-normal">{units.mass(each.massG)}</span>
        </Button>
      ))}
      {adding ? (
        <>
          <Cell size="bench" label={words.nameOfTheJug} align="left" inputMode="text" maxLength={40} className="w-40" value={name} placeholder={words.blueJug}
            onType={(text) => {
              setName(text);
              return null;
            }} />
          <MassCell label={words.weightOfTheEmptyJug} massG={massG} onMass={setMassG} />
          <Button size="bench" look="strong" className="min-h-12 px-4 text-lg" disabled={!good} onClick={add}>{words.addIt}</Button>
        </>
      ) : (
        <>
          <Button size="bench" className="min-h-12 px-4 text-lg" onClick={() => setAdding(true)}>{words.anotherJug}</Button>
          {jug && <Button size="bench" look="quiet" className="min-h-12 px-4 text-lg" onClick={() => onScale({ jugs: jugs.filter((each) => each.name !== jug), jug: '' })}>{words.forget(jug)}</Button>}
        </>
      )}
    </div>
  );
} // prettier-ignore

function MassCell({
  label,
  massG,
  onMass,
}: {
  label: string;
  massG: number;
  onMass: (massG: number) => void;
}) {
  const units = useUnits();
  const { preferences } = usePreferences();
  return (
    <Cell
      size="bench"
      label={label}
      unit={units.massUnit}
      className="w-36"
      value={units.massCell(massG)}
      onType={(text) => {
        const typed = units.parseMass(text);
        const value = typed.ok ? within(typed.value, { min: 0, max: 50_000 }, 'massG') : typed;
        if (!value.ok) return wordProblem(value.problem, preferences);
        onMass(value.value);
        return null;
      }}
    />
  );
}
