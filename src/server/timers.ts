import { runningTimers, stateOf, type RunningTimer } from '@/core/bake';
import { runningBakes } from './bakes';
import type { Context } from './context';

/** The timers of every bake under way, for whatever page is open to ring them. */
export async function timersUnderWay(context: Context): Promise<{ timers: RunningTimer[]; nowMs: number }> {
  const { bakes } = await runningBakes(context);
  return {
    timers: bakes.flatMap((bake) => runningTimers(bake, stateOf(bake))),
    nowMs: context.now().getTime(),
  };
}
