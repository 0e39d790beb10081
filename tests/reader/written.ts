import type { MethodStep } from '../../src/core/method';
import type { StepAsk } from '../../src/core/recipe';

/** Steps as a corpus writes them down: kind, time, temperature, then fields; "?" where it asks. */

const span = (s: number): string => (s % 3600 === 0 ? `${s / 3600}h` : s % 60 === 0 ? `${s / 60}m` : `${s}s`);

function timeOf({ minS, maxS }: MethodStep): string {
  if (minS === null) return '';
  if (maxS === null) return span(minS);
  const [low, high] = [span(minS), span(maxS)];
  return low.at(-1) === high.at(-1) ? `${low.slice(0, -1)}-${high}` : `${minS / 60}-${maxS / 60}m`;
}

function cueOf({ cue }: MethodStep): string {
  if (!cue) return '';
  switch (cue.kind) {
    case 'grown':
      return `~grown${cue.percent}`;
    case 'core':
      return `~core${Math.round(cue.tempC)}`;
    case 'colour':
      return `~${cue.colour}`;
    case 'springsBack':
      return '~springs';
    case 'feel':
      return `~feel:${cue.band}`;
    default:
      return `~${cue.kind}`;
  }
}

export function written(step: MethodStep, asks: readonly StepAsk[] = []): string {
  const { kind, tempC, heat, sides, again, atATime, stands } = step;
  return [
    kind,
    timeOf(step),
    tempC === null ? '' : `${tempC}C`,
    stands ? `@${stands.place}${stands.cover ? `/${stands.cover}` : ''}` : '',
    heat?.moist ?? '',
    heat?.on ? `on:${heat.on}` : '',
    heat?.paper ? 'paper' : '',
    sides ? `sides:${sides}` : '',
    again ? `again:${again.times}${again.everyS ? `/${span(again.everyS)}` : ''}` : '',
    atATime ? `each:${atATime}` : '',
    cueOf(step),
    asks.some(({ stepId }) => stepId === step.id) ? '?' : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** A written list of steps, each with its words in an order of their own. */
export const sortedWords = (line: string): string[] =>
  line
    .split('|')
    .map((step) => step.trim())
    .filter((step) => step !== '' && step !== '-')
    .map((step) => {
      const [kind = '', ...rest] = step.split(/\s+/);
      return [kind, ...rest.sort()].join(' ');
    });
