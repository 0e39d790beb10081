'use client';
import { X } from 'lucide-react';
import { allLines } from '@/core/formula';
import {
  COVERS,
  CUE_KINDS,
  CUE_LIMITS,
  PLACES,
  STANDS_LIMITS,
  type Cover,
  type Cue,
  type MethodStep,
} from '@/core/method';
import { MOISTURES, PLATE_KINDS } from '@/core/method/heating';
import { BANDS } from '@/core/bands';
import { COLOURS } from '@/core/colours';
import { IconButton } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { BAND_WORD } from '@/wording/bands';
import { COVER_WORD, CUE_WORD, PLACE_WORD } from '@/wording/method';
import { COLOUR_WORD, MOIST_WORD, PLATE_WORD } from '@/wording/run';
import { words } from '@/wording/screens/formula/StepFields';
import { STAGE_WORD } from '@/wording/words';
import { useNameOf } from '../../book/BookProvider';
import { useUnits } from '../../preferences/PreferencesProvider';
import { NumberField } from '../../quantities/NumberField';
import { useSheetActions, useSheetState } from '../../sheet/SheetContext';
import { Group, type StepFieldsProps } from './fieldGroup';
import { fieldsOf, usualPlace } from './fieldsOf';
import { WorkFields } from './WorkFields';

const UNSAID = 'unsaid';
type Unsaid = typeof UNSAID;

/** What a step says beyond words, time and temperature: each in a field of its own, to be set where it is not as usual. */
export function StepFields(props: StepFieldsProps) {
  const shown = fieldsOf(props.step);
  return (
    <div
      className="col-span-full grid gap-x-6 gap-y-2 rounded bg-well px-3 py-2 text-sm sm:grid-cols-2"
      data-testid="step-fields"
    >
      <Takes {...props} />
      {shown.stands && <Stands {...props} />}
      {shown.heat && <Heat {...props} />}
      {shown.cue && <CueField {...props} />}
      {(shown.sides || shown.again) && <WorkFields {...props} sides={shown.sides} />}
    </div>
  );
}

/** What is left out is undefined, not a field that says nothing. */
function without<T extends object, K extends keyof T>(of: T, key: K): Omit<T, K> {
  const { [key]: _, ...rest } = of;
  return rest;
}

const SHARES = [1, 0.75, 2 / 3, 0.5, 1 / 3, 0.25] as const;

function Takes({ step, number, onChange }: StepFieldsProps) {
  const { edit } = useSheetActions();
  const nameOf = useNameOf();
  const stages = useSheetState((state) => state.formula.stages);
  const takes = step.takes ?? [];
  const idOf = (each: (typeof takes)[number]) => ('lineId' in each ? each.lineId : each.stageId);
  const lines = allLines({ stages });
  const nameOfTaken = (each: (typeof takes)[number]): string => {
    if ('lineId' in each) return nameOf(lines.find(({ id }) => id === each.lineId)?.ingredientId ?? '');
    const stage = stages.find(({ id }) => id === each.stageId);
    return stage ? stage.name || STAGE_WORD[stage.kind] : '';
  };
  const put = (next: typeof takes) => (next.length > 0 ? onChange({ takes: next }) : onChange({}, 'takes'));
  const free = [
    ...stages.map(({ id, name, kind }) => ({ value: `stage:${id}`, label: name || STAGE_WORD[kind] })),
    ...lines.map(({ id, ingredientId }) => ({ value: `line:${id}`, label: `– ${nameOf(ingredientId)}` })),
  ].filter(({ value }) => !takes.some((each) => idOf(each) === value.slice(value.indexOf(':') + 1)));
  return (
    <Group word={words.goesIn}>
      {takes.map((each) => {
        const name = nameOfTaken(each);
        const at = SHARES.findIndex((share) => Math.abs(share - each.share) < 0.01);
        return (
          <span key={idOf(each)} className="flex items-center gap-1">
            <Choice
              label={words.shareOf(name)}
              value={at >= 0 ? String(at) : UNSAID}
              options={[
                ...SHARES.map((share, index) => ({
                  value: String(index),
                  label: share === 1 ? words.all : `${Math.round(100 * share)} %`,
                })),
                ...(at < 0 ? [{ value: UNSAID, label: `${Math.round(100 * each.share)} %` }] : []),
              ]}
              onChange={(index) =>
                put(
                  takes.map((one) =>
                    one === each ? { ...one, share: SHARES[Number(index)] ?? one.share } : one,
                  ),
                )
              }
              className="border-edge"
            />
            <span>{name}</span>
            {'lineId' in each && (
              <label className="flex min-h-6 items-center gap-1">
                <input
                  type="checkbox"
                  checked={lines.find(({ id }) => id === each.lineId)?.heldBack ?? false}
                  onChange={(event) =>
                    edit({ type: 'setHeldBack', lineId: each.lineId, heldBack: event.currentTarget.checked })
                  }
                  className="size-6 accent-[var(--ink)]"
                />
                {words.onlyIfWanted}
              </label>
            )}
            <IconButton label={words.notNow(name)} onClick={() => put(takes.filter((one) => one !== each))}>
              <X size={14} aria-hidden />
            </IconButton>
          </span>
        );
      })}
      <Choice
        label={words.takeMore(number)}
        value=""
        options={[{ value: '', label: words.takeSomething }, ...free]}
        onChange={(value) => {
          const id = value.slice(value.indexOf(':') + 1);
          if (value.startsWith('stage:')) put([...takes, { stageId: id, share: 1 }]);
          else if (value.startsWith('line:')) put([...takes, { lineId: id, share: 1 }]);
        }}
        className="border-edge text-soft"
      />
    </Group>
  );
}

function Stands({ step, number, onChange }: StepFieldsProps) {
  const usual = usualPlace(step);
  const { stands } = step;
  const place = stands?.place ?? usual;
  return (
    <Group word={words.standsHead}>
      <Choice
        label={words.place(number)}
        value={place}
        options={PLACES.map((value) => ({ value, label: PLACE_WORD[value] }))}
        onChange={(next) =>
          onChange({
            stands: {
              ...(next === 'prover' ? stands : stands && without(stands, 'humidityPercent')),
              place: next,
            },
          })
        }
        className={stands ? 'border-edge' : 'border-edge text-soft italic'}
      />
      <Choice<Cover | Unsaid>
        label={words.cover(number)}
        value={stands?.cover ?? UNSAID}
        options={[
          { value: UNSAID, label: words.coverUnsaid },
          ...COVERS.map((value) => ({ value, label: COVER_WORD[value] })),
        ]}
        onChange={(cover) =>
          onChange({
            stands: cover === UNSAID ? without({ place, ...stands }, 'cover') : { place, ...stands, cover },
          })
        }
        className={stands?.cover ? 'border-edge' : 'border-edge text-soft italic'}
      />
      {place === 'prover' && (
        <NumberField
          word={words.humidity}
          unit="%"
          name="humidityPercent"
          optional
          places={0}
          value={stands?.humidityPercent ?? null}
          bounds={STANDS_LIMITS.humidityPercent}
          onChange={(humidityPercent) =>
            onChange({
              stands:
                humidityPercent === null
                  ? without({ place, ...stands }, 'humidityPercent')
                  : { place, ...stands, humidityPercent },
            })
          }
        />
      )}
    </Group>
  );
}

function Heat({ step, number, onChange }: StepFieldsProps) {
  const heat = step.heat ?? {};
  const put = (next: NonNullable<MethodStep['heat']>) =>
    Object.keys(next).length > 0 ? onChange({ heat: next }) : onChange({}, 'heat');
  const on = heat.on === undefined ? UNSAID : (heat.on ?? 'rack');
  const tin = heat.inTin === undefined ? UNSAID : heat.inTin ? 'in' : 'out';
  const check = (key: 'topped' | 'paper', word: string) => (
    <label className="flex min-h-9 items-center gap-1.5">
      <input
        type="checkbox"
        checked={heat[key] ?? false}
        onChange={(event) => put(event.currentTarget.checked ? { ...heat, [key]: true } : without(heat, key))}
        className="size-6 accent-[var(--ink)]"
      />
      {word}
    </label>
  );
  return (
    <Group word={words.heatHead}>
      <Choice<(typeof PLATE_KINDS)[number] | 'rack' | Unsaid>
        label={words.onWhat(number)}
        value={on}
        options={[
          { value: UNSAID, label: words.onUnsaid },
          ...(['rack', ...PLATE_KINDS] as const).map((value) => ({ value, label: PLATE_WORD[value] })),
        ]}
        onChange={(next) =>
          put(next === UNSAID ? without(heat, 'on') : { ...heat, on: next === 'rack' ? null : next })
        }
        className={on === UNSAID ? 'border-edge text-soft italic' : 'border-edge'}
      />
      <Choice<'in' | 'out' | Unsaid>
        label={words.tin(number)}
        value={tin}
        options={[
          { value: UNSAID, label: words.tinUnsaid },
          { value: 'in', label: words.inTin },
          { value: 'out', label: words.outOfTin },
        ]}
        onChange={(next) => put(next === UNSAID ? without(heat, 'inTin') : { ...heat, inTin: next === 'in' })}
        className={tin === UNSAID ? 'border-edge text-soft italic' : 'border-edge'}
      />
      <Choice<(typeof MOISTURES)[number] | Unsaid>
        label={words.moist(number)}
        value={heat.moist ?? UNSAID}
        options={[
          { value: UNSAID, label: words.moistUnsaid },
          ...MOISTURES.map((value) => ({ value, label: MOIST_WORD[value] })),
        ]}
        onChange={(next) => put(next === UNSAID ? without(heat, 'moist') : { ...heat, moist: next })}
        className={heat.moist ? 'border-edge' : 'border-edge text-soft italic'}
      />
      {check('topped', words.topped)}
      {check('paper', words.paper)}
    </Group>
  );
}

/** The cue of a kind, where its figure has not been typed yet. */
const newCue = (kind: Cue['kind']): Cue => {
  switch (kind) {
    case 'grown':
      return { kind, percent: 50 };
    case 'core':
      return { kind, tempC: 96 };
    case 'feel':
      return { kind, band: 'soft' };
    case 'colour':
      return { kind, colour: 'golden' };
    default:
      return { kind };
  }
};

function CueField({ step, number, onChange }: StepFieldsProps) {
  const units = useUnits();
  const { cue } = step;
  return (
    <Group word={words.waitsHead}>
      <Choice<Cue['kind'] | Unsaid>
        label={words.cue(number)}
        value={cue?.kind ?? UNSAID}
        options={[
          { value: UNSAID, label: words.cueUnsaid },
          ...CUE_KINDS.map((value) => ({ value, label: CUE_WORD[value] })),
        ]}
        onChange={(kind) => (kind === UNSAID ? onChange({}, 'cue') : onChange({ cue: newCue(kind) }))}
        className={cue ? 'border-edge' : 'border-edge text-soft italic'}
      />
      {cue?.kind === 'grown' && (
        <NumberField
          word={words.cueBy}
          unit="%"
          name="percent"
          places={0}
          value={cue.percent}
          bounds={CUE_LIMITS.grownPercent}
          onChange={(percent) => percent !== null && onChange({ cue: { ...cue, percent } })}
        />
      )}
      {cue?.kind === 'core' && (
        <NumberField
          word={words.cueAt}
          unit={units.temperatureUnit}
          name="coreC"
          read={units.parseTemperature}
          show={units.temperatureNumber}
          value={cue.tempC}
          bounds={CUE_LIMITS.coreC}
          onChange={(tempC) => tempC !== null && onChange({ cue: { ...cue, tempC } })}
        />
      )}
      {cue?.kind === 'feel' && (
        <Choice
          label={words.cueBand(number)}
          value={cue.band}
          options={BANDS.map((value) => ({ value, label: BAND_WORD[value].name.toLowerCase() }))}
          onChange={(band) => onChange({ cue: { ...cue, band } })}
          className="border-edge"
        />
      )}
      {cue?.kind === 'colour' && (
        <Choice
          label={words.cueColour(number)}
          value={cue.colour}
          options={COLOURS.map((value) => ({ value, label: COLOUR_WORD[value] }))}
          onChange={(colour) => onChange({ cue: { ...cue, colour } })}
          className="border-edge"
        />
      )}
    </Group>
  );
}
