'use client';
import type { DayCallOut } from '@/core/day/agenda';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/day/Agenda';
import { words as callWords } from '@/wording/screens/day/calls';
import { useDayValue, useDayWords } from './DayContext';

/** Everything of the day in the order of the clock; on paper with a box for each. */
export function AgendaList({ calls, onChoose }: { calls: readonly DayCallOut[]; onChoose: (batchId: string, blockId: string) => void }) {
  const say = useDayWords();
  const { nowMs } = useDayValue();
  return (
    <table className="w-full border-collapse text-sm" data-testid="agenda">
      <thead className="sr-only">
        <tr><th>{words.clock}</th><th>{words.what}</th><th>{words.of}</th></tr>
      </thead>
      <tbody>
        {calls.map((call, at) => [
          say.day(call.atMs) !== say.day(calls[at - 1]?.atMs ?? 0) && (
            <tr key={`day ${at}`}><th colSpan={3} className="pt-3 pb-1 text-left font-head text-base">{say.day(call.atMs)}</th></tr>
          ),
          <tr key={at} className={cx('border-b border-rule align-baseline', call.atMs < nowMs && 'text-soft', call.kind === 'block' && call.state === 'done' && 'line-through')}>
            <td className="py-1 pr-3 whitespace-nowrap tabular-nums">
              <span aria-hidden className="mr-2 hidden size-3 border border-ink align-baseline print:inline-block" />
              <strong>{say.clock(call.atMs)}</strong>
            </td>
            <td className={cx('py-1 pr-3', call.kind === 'ready' && 'font-semibold', call.kind === 'look' && 'italic')}>
              {call.kind === 'block' ? (
                <button type="button" className="inline-block min-h-6 text-left underline decoration-rule underline-offset-4 hover:decoration-ink print:no-underline" onClick={() => onChoose(call.batchId, call.blockId)}>
                  {say.call(call)}
                </button>
              ) : (
                say.call(call)
              )}
              {call.kind === 'block' && call.setC !== null && <span className="text-soft"> {call.ovenId ? callWords.at(say.oven(call.ovenId), say.temp(call.setC)) : say.temp(call.setC)}</span>}
              {call.kind === 'block' && <span className="text-soft"> {callWords.until(say.clock(call.untilMs))}</span>}
            </td>
            <td className="py-1 text-soft">{'batchId' in call && say.batch(call.batchId)}</td>
          </tr>,
        ])}
      </tbody>
    </table>
  );
} // prettier-ignore
