'use client';
import { TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { wrongAmount, type BakeAction, type BakeRecord, type BakeState, type Mend } from '@/core/bake';
import { Button } from '@/ui/Button';
import { useSteady } from '@/ui/useSteady';
import { BAND_WORD } from '@/wording/bands';
import { words } from '@/wording/screens/bench/WrongAmount';
import { useBook } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

interface WrongAmountCardProps {
  readonly sheet: BakeRecord['sheet'];
  readonly state: BakeState;
  readonly onMend: (action: BakeAction) => void;
}

/** What was weighed wrong, what dough that makes, and the ways to mend it: a press each. */
export function WrongAmountCard({ sheet, state, onMend }: WrongAmountCardProps) {
  const units = useUnits();
  const numbers = useNumbers();
  // it stands where the next thing was to stand: a knuckle that bounces answers nothing
  const steady = useSteady(true);
  const book = useBook();
  const wrong = useMemo(() => wrongAmount(sheet, state, book), [sheet, state, book]);
  if (!wrong) return null;
  const { line, wantedG, isG, planned, now, mends } = wrong;
  const overG = isG - wantedG;
  const band = (of: typeof now): string | null => of.band && BAND_WORD[of.band].short;
  const nameOf = (lineId: string): string => sheet.stages.flatMap(({ lines }) => lines).find(({ id }) => id === lineId)?.name ?? '';
  const answer = (mend: Mend) =>
    onMend({ type: 'mended', lineId: line.id, by: mend.by, targets: mend.targets.map(({ lineId, massG }) => ({ lineId, massG: Math.round(massG * 100) / 100 })) });
  const makes = [
    band(now) !== null && (band(now) === band(planned) ? words.staysBand(band(now)!) : words.otherBand(band(now)!, band(planned) ?? '')),
    isOther(now.hydration, planned.hydration, 0.5) && words.hydration(numbers.percent(now.hydration), numbers.percent(planned.hydration)),
    isOther(now.saltPercent, planned.saltPercent, 0.05) && words.salt(numbers.percent(now.saltPercent), numbers.percent(planned.saltPercent)),
    isOther(now.yeastPercent, planned.yeastPercent, 0.1) && words.yeast((now.yeastPercent ?? 0) > (planned.yeastPercent ?? 0)),
  ].filter(Boolean);
  return (
    <section role="alert" aria-label={words.aWrongAmount} className="docket rounded-b-xl p-5 sm:p-7 low:p-3" data-testid="wrong-amount">
      <p className="flex items-center gap-2 text-lg font-semibold text-alarm">
        <TriangleAlert size={22} aria-hidden className="shrink-0" />
        {overG > 0 ? words.tooMuch(line.name) : words.tooLittle(line.name)}
      </p>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <span className="figure text-[clamp(3.5rem,14vw,7rem)] low:text-6xl" data-testid="off-by">{overG > 0 ? '+' : '−'}{units.mass(Math.abs(overG))}</span>
        <span className="text-xl text-soft">{words.insteadOf(units.mass(isG), units.mass(wantedG))}</span>
      </p>
      {makes.length > 0 && <p className="mt-2 text-xl leading-snug" data-testid="makes">{makes.join('; ')}.</p>}
      <ul className="mt-4 grid gap-3">
        {mends.map((mend) => (
          <li key={mend.by}>
            <Button look={mend.by === 'carryOn' ? 'strong' : 'plain'} size="bench" disabled={!steady} className="w-full flex-col items-start gap-0 py-2 text-left disabled:opacity-100" onClick={() => answer(mend)}>
              <span>{words.mend[mend.by]({ moves: movesOf(mend, nameOf, units.mass), pieces: sheet.pieces.count + mend.pieces, size: units.mass(mend.pieceG) })}</span>
              {band(mend.dough) !== null && band(mend.dough) !== band(now) && <span className="text-base font-normal">{words.thenItIs(band(mend.dough)!)}</span>}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
} // prettier-ignore

const isOther = (now: number | null, planned: number | null, by: number): boolean =>
  now !== null && planned !== null && Math.abs(now - planned) >= by;

/** The few that are moved, named; of many the first two. */
function movesOf({ moves }: Mend, nameOf: (lineId: string) => string, mass: (g: number) => string): string {
  const told = moves
    .slice(0, 2)
    .map(({ lineId, byG }) => words.move(mass(Math.abs(byG)), nameOf(lineId).toLowerCase()));
  return told.join(words.and);
}
