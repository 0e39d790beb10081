import type { CrumbFigures } from '@/core/photo';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/photos/CrumbFiguresList';

/** What was read from a cut face, the openness first. */
export function CrumbFiguresList({ figures, large = false }: { figures: CrumbFigures; large?: boolean }) {
  const numbers = useNumbers();
  const percent = (value: number, places = 0) => `${numbers.decimal(value, places)} %`;
  const rows = [
    [words.porosity, percent(figures.porosityPercent), words.ofTheFace],
    [words.holes, String(figures.holes), words.middleHole(percent(figures.middleHolePercent, 1))],
    [words.evenness, numbers.decimal(figures.evenness, 2), words.oneIsEven],
    [words.tunnel, percent(figures.tunnelPercent), words.ofTheWidth],
    [words.denseLine, percent(figures.denseLinePercent), words.ofTheHeight],
    [words.form, numbers.decimal(figures.heightToWidth, 2), words.heightToWidth],
  ] as const;
  return (
    <dl className="grid grid-cols-[repeat(auto-fit,minmax(7.5rem,1fr))] gap-x-5 gap-y-3">
      {rows.map(([word, figure, what], index) => (
        <div key={word} className="flex flex-col-reverse justify-end">
          <dt className="text-sm text-soft">
            {word} <span className="block text-xs">{what}</span>
          </dt>
          <dd className={`figure ${large && index === 0 ? 'text-5xl' : 'text-2xl'}`}>{figure}</dd>
        </div>
      ))}
    </dl>
  );
}
