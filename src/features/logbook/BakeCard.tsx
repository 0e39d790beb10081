import type { BakeCard as Card } from '@/core/bake';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { AGAIN_WORD } from '@/wording/words';
import { Scores } from './Scores';
import { words } from '@/wording/screens/logbook/BakeCard';

/** A line of the logbook, as the server lists it. */
export interface LogbookLine extends Omit<Card, 'stock' | 'says' | 'lots'> {
  readonly id: string;
  readonly startedAtMs: number;
}

/** One past bake in a line: when, what, how it was, and whether to bake it so again. */
export function BakeCard({ line }: { line: LogbookLine }) {
  const numbers = useNumbers();
  const time = useKitchenTime();
  const units = useUnits();
  const { lossPercent } = line;
  return (
    <KitchenLink
      href={`/logbook/${line.id}`}
      prefetch={false}
      className="grid gap-x-5 gap-y-1 border-t border-rule px-3 py-3 hover:bg-well sm:grid-cols-[8rem_minmax(0,1fr)_auto] sm:items-start"
    >
      <span className="text-sm text-soft">
        {time.dayAndYear(line.startedAtMs)}
        <span className="block max-sm:ml-2 max-sm:inline">{time.clock(line.startedAtMs)}</span>
      </span>
      <span className="min-w-0">
        <strong className="font-head text-lg">{line.name}</strong>
        <span className="ml-2 text-sm text-soft">
          {line.pieces} × {units.mass(line.doughG)}
          {lossPercent !== null && words.lost(numbers.decimal(lossPercent, 1))}
        </span>
        {line.words && <span className="mt-0.5 line-clamp-2 block text-sm">{line.words}</span>}
        {line.givenUp !== null && (
          <span className="mt-0.5 block text-sm">
            <strong className="text-alarm">{words.abandoned}</strong> {line.givenUp}
          </span>
        )}
        {line.again && (
          <span className="mt-0.5 block text-xs text-soft">{words.again(AGAIN_WORD[line.again])}</span>
        )}
      </span>
      {line.scores && <Scores scores={line.scores} />}
    </KitchenLink>
  );
}
