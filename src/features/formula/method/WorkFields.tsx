'use client';
import { STEP_LIMITS } from '@/core/method';
import { formatDuration, parseDurationS } from '@/core/units';
import { words } from '@/wording/screens/formula/StepFields';
import { NumberField } from '../../quantities/NumberField';
import { readWhole } from '../../quantities/readWhole';
import { Group, type StepFieldsProps } from './fieldGroup';

/** Sides and pieces at a time of what is heated; how often of what hands do. */
export function WorkFields({ step, onChange, sides }: StepFieldsProps & { sides: boolean }) {
  const { again } = step;
  return (
    <Group word={words.workHead}>
      {sides ? (
        <>
          <NumberField
            word={words.sides}
            name="sides"
            optional
            places={0}
            value={step.sides ?? null}
            bounds={STEP_LIMITS.sides}
            read={readWhole}
            onChange={(count) => (count === null ? onChange({}, 'sides') : onChange({ sides: count }))}
          />
          <NumberField
            word={words.atATime}
            name="atATime"
            optional
            places={0}
            value={step.atATime ?? null}
            bounds={STEP_LIMITS.atATime}
            read={readWhole}
            onChange={(count) => (count === null ? onChange({}, 'atATime') : onChange({ atATime: count }))}
          />
        </>
      ) : (
        <>
          <NumberField
            word={words.times}
            name="times"
            optional
            places={0}
            value={again?.times ?? null}
            bounds={STEP_LIMITS.times}
            read={readWhole}
            onChange={(times) =>
              times === null
                ? onChange({}, 'again')
                : onChange({ again: { times, everyS: again?.everyS ?? null } })
            }
          />
          {again && (
            <NumberField
              word={words.every}
              name="everyS"
              optional
              value={again.everyS}
              bounds={STEP_LIMITS.durationS}
              read={parseDurationS}
              show={(seconds) => formatDuration(seconds)}
              onChange={(everyS) => onChange({ again: { ...again, everyS } })}
            />
          )}
        </>
      )}
    </Group>
  );
}
