'use client';
import {
  handsOf,
  inAlreadyG,
  takenUpG,
  targetG,
  whoDid,
  type BakeEvent,
  type BakeRecord,
  type BakeState,
} from '@/core/bake';
import { isAskedFor } from '@/core/batch/askedFor';
import { cx } from '@/ui/cx';
import { useInMeasures } from '../measured/InMeasures';
import { useNameOf } from '../book/BookProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { words } from '@/wording/screens/logbook/PlannedActual';

/** Each line as planned and as weighed, the difference said where there is one; then what else went in. */
export function PlannedActual({
  bake,
  state,
  events,
}: {
  bake: BakeRecord;
  state: BakeState;
  events: readonly BakeEvent[];
}) {
  const nameOf = useNameOf();
  const units = useUnits();
  const time = useKitchenTime();
  const measured = useInMeasures();
  // one pair of hands is said once, above what happened when
  const areSeveral = handsOf(events).length > 1;
  const lines = bake.sheet.stages.flatMap((stage) => stage.lines);
  const sign = (massG: number) => `${massG > 0 ? '+' : '−'}${units.mass(Math.abs(massG))}`;
  return (
    <table className="mt-2 w-full border-collapse text-sm">
      <thead>
        <tr className="text-left text-soft">
          <th scope="col" className="py-1 font-semibold">
            {words.ingredient}
          </th>
          <th scope="col" className="py-1 text-right font-semibold">
            {words.planned}
          </th>
          <th scope="col" className="py-1 text-right font-semibold">
            {words.weighed}
          </th>
          <th scope="col" className="py-1 text-right font-semibold">
            {words.off}
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => {
          const weighing = state.weighed.get(line.id);
          // once a wrong amount was mended that is what is meant
          const wantedG = targetG(line, state);
          const inG = inAlreadyG(line.id, state);
          const off = weighing ? weighing.massG - wantedG : 0;
          return (
            <tr key={line.id} className="border-t border-rule align-top">
              <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                {line.name}
                {line.of && <span className="text-soft"> {words.part(line.of.at, line.of.of)}</span>}
                {measured(line) && <span className="block text-xs text-soft">{measured(line)}</span>}
              </th>
              <td className="py-1.5 text-right whitespace-nowrap text-soft">
                {units.mass(line.massG)}
                {Math.abs(wantedG - line.massG) >= 0.05 && (
                  <span className="block text-xs">{words.then(units.mass(wantedG))}</span>
                )}
              </td>
              <td className="py-1.5 text-right font-semibold whitespace-nowrap">
                {weighing ? (
                  units.mass(weighing.massG)
                ) : (
                  <span
                    className={isAskedFor(line) && !state.leftOut.has(line.id) ? 'text-alarm' : 'text-soft'}
                  >
                    {inG > 0
                      ? words.onlyPart(units.mass(inG))
                      : state.leftOut.has(line.id)
                        ? words.leftOut
                        : line.heldBack
                          ? words.heldBack
                          : line.later
                            ? words.anotherDay
                            : words.notTicked}
                  </span>
                )}
                {weighing && areSeveral && (
                  <span className="block text-xs font-normal text-soft">
                    {whoDid(events, { type: 'weighed', atMs: weighing.atMs, lineId: line.id })}
                  </span>
                )}
                {weighing?.before.map((old) => (
                  <span key={old.atMs} className="block text-xs font-normal text-soft">
                    <s>{units.mass(old.massG)}</s> {time.clock(old.atMs)}
                  </span>
                ))}
              </td>
              <td
                className={cx(
                  'py-1.5 pl-2 text-right whitespace-nowrap',
                  Math.abs(off) > 0.05 * wantedG ? 'font-semibold text-alarm' : 'text-soft',
                )}
              >
                {Math.abs(off) < 0.005 ? '' : sign(off)}
              </td>
            </tr>
          );
        })}
        {state.additions.map((addition) => (
          <tr key={`${addition.atMs}-${addition.ingredientId}`} className="border-t border-rule">
            <th scope="row" className="py-1.5 pr-2 text-left font-normal">
              {nameOf(addition.ingredientId)}
              <span className="block text-xs text-soft">
                {words.extra(time.clock(addition.atMs), addition.note && `: ${addition.note}`)}
                {addition.bench && <span className="block">{words.onTheBench}</span>}
              </span>
            </th>
            <td className="py-1.5 text-right text-soft">–</td>
            <td className="py-1.5 text-right font-semibold whitespace-nowrap">
              {units.mass(addition.massG)}
            </td>
            <td className="py-1.5 pl-2 text-right whitespace-nowrap">{sign(takenUpG(addition))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
