'use client';
import { KIT_LIMITS, type Kit } from '@/core/kit';
import { OWN_MEASURES } from '@/core/quantity/ownMeasures';
import { within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/kit/KitMeasures';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { Row } from '../quantities/Row';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { newKitId, RemoveButton } from './KitRow';

type Measure = Kit['measures'][number];
const WATER = '';
const newMeasure = (): Measure => ({ id: newKitId(), measure: 'cup', ingredientId: null, weighedG: [240] });

/** The kitchen's own cup, scoop and spoon: weighed full, they count from then on wherever a recipe says them. */
export function KitMeasures({
  kit: { measures },
  change,
  ingredients,
}: KitProps & { ingredients: readonly { readonly id: string; readonly name: string }[] }) {
  const names = ingredients
    .map(({ id, name }) => ({ value: id, label: name }))
    .sort((a, b) => a.label.localeCompare(b.label));
  return (
    <KitCard title={words.title}>
      <p className="text-sm text-soft">{words.what}</p>
      {measures.map((measure) => {
        const put = (part: Partial<Measure>) =>
          change({
            measures: measures.map((each) => (each.id === measure.id ? { ...each, ...part } : each)),
          });
        const known = OWN_MEASURES.some((word) => word === measure.measure);
        return (
          <div
            key={measure.id}
            role="group"
            aria-label={measure.measure}
            className="border-t-2 border-rule py-2"
          >
            <div className="flex items-center justify-between gap-2">
              <Choice
                label={words.which}
                value={measure.measure}
                options={[...(known ? [] : [measure.measure]), ...OWN_MEASURES].map((value) => ({
                  value,
                  label: words.my(value),
                }))}
                onChange={(word) => put({ measure: word })}
                className="border-edge font-semibold"
              />
              <RemoveButton
                name={words.my(measure.measure)}
                onRemove={() => change({ measures: measures.filter((each) => each.id !== measure.id) })}
              />
            </div>
            <Row word={words.filledWith}>
              <Choice
                label={words.filledWith}
                value={measure.ingredientId ?? WATER}
                options={[{ value: WATER, label: words.water }, ...names]}
                onChange={(id) => put({ ingredientId: id === WATER ? null : id })}
                className="max-w-56 border-edge"
              />
            </Row>
            <Weighings weighedG={measure.weighedG} onChange={(weighedG) => put({ weighedG })} />
          </div>
        );
      })}
      <AddButton
        word={words.add}
        count={measures.length}
        onAdd={() => change({ measures: [...measures, newMeasure()] })}
      />
    </KitCard>
  );
}

/** One filling weighs so much; several, with a gap between, tell how alike they are. */
function Weighings({
  weighedG,
  onChange,
}: {
  weighedG: readonly number[];
  onChange: (weighedG: number[]) => void;
}) {
  const units = useUnits();
  const { preferences } = usePreferences();
  const restored = [...weighedG];
  return (
    <Row word={words.weighs}>
      <Cell
        label={words.weighs}
        className="w-44"
        unit={units.massUnit}
        value={weighedG.map((each) => units.massCell(each)).join('  ')}
        onType={(text) => {
          const typed = text.trim().split(/[\s;]+/).map((each) => units.parseMass(each)); // prettier-ignore
          const all: number[] = [];
          for (const each of typed) {
            const checked = each.ok ? within(each.value, KIT_LIMITS.weighedG, 'weighedG') : each;
            if (!checked.ok) return wordProblem(checked.problem, preferences);
            all.push(checked.value);
          }
          onChange(all.slice(0, MOST_WEIGHINGS));
          return null;
        }}
        restore={() => onChange(restored)}
      />
    </Row>
  );
}
const MOST_WEIGHINGS = 20;
