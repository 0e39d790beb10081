import { fitTrace, setCentralS, type Progress } from '@/core/heat';
import { truthOf } from '@/core/practice/truth';
import { forecastRun, riseNow } from '@/core/run';
import type { Ask, Asks, FromWorker, ToWorker } from './protocol';

type Question = Exclude<ToWorker, { type: 'leave' }>;

function* fit({ bake, trace }: Asks['fit']['question']): Generator<Progress, Asks['fit']['answer'], void> {
  yield { done: 0, of: 1 };
  return fitTrace(bake, trace);
}

function* rise(asked: Asks['rise']['question']): Generator<Progress, Asks['rise']['answer'], void> {
  yield { done: 0, of: 1 };
  return riseNow(asked);
}

function* truth(asked: Asks['truth']['question']): Generator<Progress, Asks['truth']['answer'], void> {
  yield { done: 0, of: 1 };
  return truthOf(asked);
}

function* set(bakes: Asks['set']['question']): Generator<Progress, Asks['set']['answer'], void> {
  const answer: (number | null)[] = [];
  for (const [done, bake] of bakes.entries()) {
    yield { done, of: bakes.length };
    answer.push(setCentralS(bake));
  }
  return answer;
}

const stepsOf = (asked: Question): Generator<Progress, Asks[Ask]['answer'], void> => {
  switch (asked.type) {
    case 'forecast':
      return forecastRun(asked.question.run, asked.question.feel);
    case 'rise':
      return rise(asked.question);
    case 'truth':
      return truth(asked.question);
    case 'set':
      return set(asked.question);
    case 'fit':
      return fit(asked.question);
  }
};

/**
 * The worker without its thread, so that a test can drive it: takes messages, works on one question at a time, pauses between the
 * simulated bakes to hear what has been said meanwhile, and leaves what nobody waits for any more.
 *
 * @param tell hands a message to the page
 * @param pause lets messages in, e.g. a macrotask
 */
export function startLanes(
  tell: (message: FromWorker) => void,
  pause: () => Promise<void>,
): (message: ToWorker) => void {
  const waiting = new Map<string, Question>();
  let current: { readonly question: Question; left: boolean } | null = null;

  const work = async (question: Question) => {
    const mine = { question, left: false };
    current = mine;
    try {
      const steps = stepsOf(question);
      // hear first: a drag asks many times before the first answer is begun
      await pause();
      while (!mine.left) {
        const next = steps.next();
        if (next.done) {
          tell({ type: 'answer', id: question.id, result: next.value });
          break;
        }
        tell({ type: 'progress', id: question.id, ...next.value });
        await pause();
      }
      if (mine.left) tell({ type: 'left', id: question.id });
    } catch (error) {
      tell({ type: 'broke', id: question.id, why: String(error) });
    }
    current = null;
    const [lane, next] = [...waiting][0] ?? [];
    if (lane !== undefined && next) {
      waiting.delete(lane);
      void work(next);
    }
  };

  const leave = (lane: string) => {
    const before = waiting.get(lane);
    if (before) {
      waiting.delete(lane);
      tell({ type: 'left', id: before.id });
    }
    if (current?.question.lane === lane) current.left = true;
  };

  return (message) => {
    leave(message.lane);
    if (message.type === 'leave') return;
    if (current) waiting.set(message.lane, message);
    else void work(message);
  };
}
