'use client';
import { ArrowLeft } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { COMPARE_GROUPS, compareBakes, stateOf, type BakeRecord, type ComparedRow, type CompareGroup } from '@/core/bake'; // prettier-ignore
import { patiently } from '@/ui/patiently';
import { useBook } from '../book/BookProvider';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';
import { words } from '@/wording/screens/compare/ComparePage';
import { ComparedSlice } from './ComparedSlice';
import { useComparedWords } from './useComparedWords';

const RiseCurves = dynamic(
  patiently(() => import('./RiseCurves').then((module) => module.RiseCurves)),
  { ssr: false },
);

/** Two to six bakes side by side: what differs, then what came of it. */
export function ComparePage({ bakes }: { bakes: readonly BakeRecord[] }) {
  const book = useBook();
  const time = useKitchenTime();
  const rows = useMemo(() => compareBakes(bakes, book), [bakes, book]);
  const oneName = new Set(bakes.map(({ sheet }) => sheet.name)).size === 1;
  const heads = bakes.map(({ sheet, startedAtMs }) =>
    oneName ? time.day(startedAtMs) : `${sheet.name}, ${time.day(startedAtMs)}`,
  );
  if (bakes.length < 2)
    return (
      <>
        <BackToLogbook />
        <p className="docket mt-3 p-6">{words.chooseTwo}</p>
      </>
    );
  return (
    <>
      <BackToLogbook />
      <h1 className="text-2xl sm:text-3xl">
        {oneName ? `${words.sideBySide}: ${bakes[0]!.sheet.name}` : words.sideBySide}
      </h1>
      <p className="text-soft">{words.whatDiffers}</p>
      <Rows bakes={bakes} heads={heads} rows={rows.filter(({ group }) => !CAME_OF_IT.has(group))} />
      <section aria-labelledby="slices-title" className="docket mt-5 rounded-b-md px-4 pt-3 pb-4">
        <h2 id="slices-title" className="text-xl">
          {words.pictures}
        </h2>
        <ul className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(11rem,1fr))] gap-4">
          {bakes.map((bake, index) => (
            <ComparedSlice
              key={bake.id}
              bakeId={bake.id}
              head={heads[index] ?? ''}
              photos={stateOf(bake).photos}
            />
          ))}
        </ul>
      </section>
      <RiseCurves bakes={bakes} heads={heads} />
      <Rows bakes={bakes} heads={heads} rows={rows.filter(({ group }) => CAME_OF_IT.has(group))} />
    </>
  );
}

/** What was done stands first; what came of it below the pictures it is seen in. */
const CAME_OF_IT: ReadonlySet<CompareGroup> = new Set(['crumb', 'scores']);

interface RowsProps {
  readonly bakes: readonly BakeRecord[];
  readonly heads: readonly string[];
  readonly rows: readonly ComparedRow[];
}

/** Groups of what is held side by side, a column for each bake. */
function Rows({ bakes, heads, rows }: RowsProps) {
  if (rows.length === 0) return null;
  return (
    <div className="docket mt-4 overflow-x-auto rounded-b-md px-4 pb-4">
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="align-bottom">
            <td className="min-w-40" />
            {bakes.map((bake, index) => (
              <th key={bake.id} scope="col" className="min-w-28 px-3 pt-3 pb-2 text-right">
                <KitchenLink href={`/logbook/${bake.id}`} className="font-head text-lg text-link underline">
                  {heads[index] ?? ''}
                </KitchenLink>
                <span className="block font-normal text-soft">{words.version(bake.revision)}</span>
              </th>
            ))}
          </tr>
        </thead>
        {COMPARE_GROUPS.map((group) => (
          <Group key={group} name={words.group[group]} rows={rows.filter((row) => row.group === group)} />
        ))}
      </table>
    </div>
  );
}

const BackToLogbook = () => (
  <KitchenLink href="/logbook" className="inline-flex min-h-8 items-center gap-1 text-sm text-link underline">
    <ArrowLeft size={15} aria-hidden />
    {words.theLogbook}
  </KitchenLink>
);

/** What differs in sight, what does not a press away. */
function Group({ name, rows }: { name: string; rows: readonly ComparedRow[] }) {
  const [isOpen, setOpen] = useState(false);
  if (rows.length === 0) return null;
  const [differing, alike] = [rows.filter(({ differs }) => differs), rows.filter(({ differs }) => !differs)];
  const columns = rows[0]!.values.length + 1;
  return (
    <tbody>
      <tr>
        <th scope="rowgroup" colSpan={columns} className="pt-5 pb-1 text-left font-head text-xl">
          {name}
        </th>
      </tr>
      {differing.map((row) => (
        <Row key={keyOf(row)} row={row} />
      ))}
      {differing.length === 0 && (
        <tr className="border-t border-rule">
          <td colSpan={columns} className="py-1.5 text-soft">
            {rows.some(({ values }) => values.filter((value) => value !== null).length > 1)
              ? words.nothingDiffers
              : words.knownOfOne}
          </td>
        </tr>
      )}
      {alike.length > 0 && (
        <tr className="border-t border-rule">
          <td colSpan={columns}>
            <button
              type="button"
              aria-expanded={isOpen}
              onClick={() => setOpen(!isOpen)}
              className="min-h-8 cursor-pointer py-1.5 text-link underline"
            >
              {isOpen ? words.hideAlike : words.alike(alike.length)}
            </button>
          </td>
        </tr>
      )}
      {isOpen && alike.map((row) => <Row key={keyOf(row)} row={row} />)}
    </tbody>
  );
}

const keyOf = ({ about }: ComparedRow): string => JSON.stringify(about);

function Row({ row }: { row: ComparedRow }) {
  const { nameFor, valueOf } = useComparedWords();
  const numbers = row.values.filter((value): value is number => typeof value === 'number');
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="min-w-40 py-1.5 pr-3 text-left font-normal">
        {nameFor(row.about)}
      </th>
      {row.values.map((value, index) => (
        <td
          key={index}
          className={`min-w-28 px-3 py-1.5 text-right ${row.differs ? 'figure text-lg' : 'text-soft'}`}
        >
          {/* ends are told apart by more than their figures */}
          {row.differs && value === high && high > low && <span aria-hidden>▴ </span>}
          {row.differs && value === low && high > low && <span aria-hidden>▾ </span>}
          {valueOf(row.about, value)}
        </td>
      ))}
    </tr>
  );
}
