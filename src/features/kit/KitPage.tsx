'use client';
import { Plus } from 'lucide-react';
import { KIT_LIMITS, type Kit } from '@/core/kit';
import { PLATE_KINDS, TIN_KINDS } from '@/core/method/heating';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { NumberField } from '../quantities/NumberField';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { PLATE_WORD, TIN_WORD } from '../wording/run';
import { KitScales } from './KitScales';
import { KitRow, Row } from './KitRow';
import { OvenCard } from './OvenCard';
import { useKit, type KitSave } from './useKit';

const SAVE_WORDS: Record<KitSave, string> = {
  kept: 'Kept',
  keeping: 'Keeping …',
  unreachable: 'The server does not answer. It is tried again; leave this page open.',
  stale:
    'Somebody changed the kit in between. Reload this page to see how it is now; what you changed last is not kept.',
  refused: 'The server could not take that. Check the figures; the last change is not kept.',
};

const upper = (word: string): string => word[0]!.toUpperCase() + word.slice(1);

/** What the kitchen has, and how it is: measured once, reckoned with everywhere. */
export function KitPage({ kept }: { kept: { readonly version: number; readonly kit: Kit } }) {
  const { kit, change, save } = useKit(kept);
  const units = useUnits();
  const { preferences } = usePreferences();
  const fahrenheit = preferences.temperatureUnit === 'F';
  const warm = (word: string, name: 'roomC' | 'warmC' | 'fridgeC') => (
    <NumberField
      word={word}
      unit={units.temperatureUnit}
      name={name}
      value={kit[name]}
      bounds={KIT_LIMITS[name]}
      places={fahrenheit ? 0 : 1}
      read={units.parseTemperature}
      show={(value) => String(units.temperatureNumber(value))}
      onChange={(value) => value !== null && change({ ...kit, [name]: value })}
    />
  );
  const newId = () => newUuid().slice(0, 13);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl sm:text-3xl">Kit</h1>
        <p className="text-sm text-soft">
          What this kitchen has and how it is. What nobody measured is taken as ordinary.
        </p>
        <p
          role="status"
          data-testid="kit-save"
          data-state={save}
          className={
            save === 'kept' || save === 'keeping'
              ? 'ml-auto text-sm text-soft'
              : 'ml-auto text-sm font-semibold text-alarm'
          }
        >
          {SAVE_WORDS[save]}
        </p>
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <div className="space-y-5">
          <section aria-labelledby="kitchen-title" className="docket rounded-b-md px-4 pt-4 pb-3">
            <h2 id="kitchen-title" className="text-lg">
              The kitchen
            </h2>
            {warm('Room', 'roomC')}
            {warm('Warmest place for a proof', 'warmC')}
            {warm('Fridge', 'fridgeC')}
            <NumberField
              word="Height above the sea"
              unit="m"
              name="altitudeM"
              places={0}
              value={kit.altitudeM}
              bounds={KIT_LIMITS.altitudeM}
              onChange={(value) => value !== null && change({ ...kit, altitudeM: value })}
            />
            <Row word="Mixing">
              <select
                aria-label="Mixing"
                className="min-h-8 rounded border border-edge bg-transparent px-1"
                value={kit.mixer.kind}
                onChange={(event) =>
                  change({
                    ...kit,
                    mixer: { ...kit.mixer, kind: event.currentTarget.value === 'hand' ? 'hand' : 'machine' },
                  })
                }
              >
                <option value="hand">by hand</option>
                <option value="machine">by machine</option>
              </select>
            </Row>
            <NumberField
              word="Mixing warms the dough by, a minute"
              unit="°C"
              name="frictionCPerMin"
              optional
              value={kit.mixer.frictionCPerMin}
              bounds={KIT_LIMITS.frictionCPerMin}
              onChange={(value) => change({ ...kit, mixer: { ...kit.mixer, frictionCPerMin: value } })}
            />
          </section>
          <KitScales scales={kit.scales} onChange={(scales) => change({ ...kit, scales })} />
          <section aria-labelledby="tins-title" className="docket rounded-b-md px-4 pt-4 pb-3">
            <h2 id="tins-title" className="text-lg">
              Tins
            </h2>
            {kit.tins.length === 0 && (
              <p className="text-sm text-soft">
                Measure a tin inside once: its loaf’s height and time are reckoned from then on.
              </p>
            )}
            {kit.tins.map((tin) => {
              const put = (part: Partial<typeof tin>) =>
                change({
                  ...kit,
                  tins: kit.tins.map((each) => (each.id === tin.id ? { ...each, ...part } : each)),
                });
              return (
                <KitRow
                  key={tin.id}
                  name={tin.name}
                  kind={tin.kind}
                  kinds={TIN_KINDS.map((value) => ({ value, label: upper(TIN_WORD[value]) }))}
                  onName={(name) => put({ name })}
                  onKind={(kind) => put({ kind })}
                  onRemove={() => change({ ...kit, tins: kit.tins.filter((each) => each.id !== tin.id) })}
                >
                  {(['lengthCm', 'widthCm', 'heightCm'] as const).map((field) => (
                    <NumberField
                      key={field}
                      word={
                        { lengthCm: 'Inner length', widthCm: 'Inner width', heightCm: 'Inner height' }[field]
                      }
                      unit="cm"
                      name={field}
                      value={tin[field]}
                      bounds={KIT_LIMITS.lengthCm}
                      onChange={(value) => value !== null && put({ [field]: value })}
                    />
                  ))}
                </KitRow>
              );
            })}
            <AddButton
              word="A tin"
              count={kit.tins.length}
              onAdd={() =>
                change({
                  ...kit,
                  tins: [
                    ...kit.tins,
                    { id: newId(), name: 'A loaf tin', kind: 'dark', lengthCm: 22, widthCm: 10, heightCm: 8 },
                  ],
                })
              }
            />
          </section>
        </div>
        <div className="space-y-5">
          <section aria-labelledby="ovens-title" className="docket rounded-b-md px-4 pt-4 pb-3">
            <h2 id="ovens-title" className="text-lg">
              Ovens
            </h2>
            {kit.ovens.map((oven) => (
              <OvenCard
                key={oven.id}
                oven={oven}
                roomC={kit.roomC}
                usual={oven.id === kit.ovenId}
                onUsual={() => change({ ...kit, ovenId: oven.id })}
                onChange={(next) =>
                  change({ ...kit, ovens: kit.ovens.map((each) => (each.id === oven.id ? next : each)) })
                }
                onRemove={
                  kit.ovens.length > 1
                    ? () => {
                        const ovens = kit.ovens.filter((each) => each.id !== oven.id);
                        change({ ...kit, ovens, ovenId: kit.ovenId === oven.id ? ovens[0]!.id : kit.ovenId });
                      }
                    : null
                }
              />
            ))}
            <AddButton
              word="Another oven"
              count={kit.ovens.length}
              onAdd={() =>
                change({
                  ...kit,
                  ovens: [
                    ...kit.ovens,
                    {
                      id: newId(),
                      name: 'Another oven',
                      kind: 'static',
                      litres: null,
                      heatUpMin: null,
                      readings: [],
                      fitted: null,
                    },
                  ],
                })
              }
            />
          </section>
          <section aria-labelledby="plates-title" className="docket rounded-b-md px-4 pt-4 pb-3">
            <h2 id="plates-title" className="text-lg">
              Stones, steels, pots and trays
            </h2>
            {kit.plates.map((plate) => {
              const put = (part: Partial<typeof plate>) =>
                change({
                  ...kit,
                  plates: kit.plates.map((each) => (each.id === plate.id ? { ...each, ...part } : each)),
                });
              return (
                <KitRow
                  key={plate.id}
                  name={plate.name}
                  kind={plate.kind}
                  kinds={PLATE_KINDS.map((value) => ({
                    value,
                    label: upper(PLATE_WORD[value].replace(/^(a|the|hot) /, '')),
                  }))}
                  onName={(name) => put({ name })}
                  onKind={(kind) => put({ kind })}
                  onRemove={() =>
                    change({ ...kit, plates: kit.plates.filter((each) => each.id !== plate.id) })
                  }
                >
                  <NumberField
                    word="How thick"
                    unit="mm"
                    name="thickMm"
                    optional
                    value={plate.thickMm}
                    bounds={KIT_LIMITS.thickMm}
                    onChange={(thickMm) => put({ thickMm })}
                  />
                </KitRow>
              );
            })}
            <AddButton
              word="A stone, steel or pot"
              count={kit.plates.length}
              onAdd={() =>
                change({
                  ...kit,
                  plates: [...kit.plates, { id: newId(), name: 'A stone', kind: 'stone', thickMm: null }],
                })
              }
            />
            <h3 className="mt-4 text-base">Fryer</h3>
            {kit.fryer ? (
              <>
                <NumberField
                  word="Oil in it"
                  unit="l"
                  name="oilLitres"
                  value={kit.fryer.oilLitres}
                  bounds={KIT_LIMITS.oilLitres}
                  onChange={(oilLitres) =>
                    kit.fryer && oilLitres !== null && change({ ...kit, fryer: { ...kit.fryer, oilLitres } })
                  }
                />
                <NumberField
                  word="Its power"
                  unit="W"
                  name="powerW"
                  places={0}
                  value={kit.fryer.powerW}
                  bounds={KIT_LIMITS.powerW}
                  onChange={(powerW) =>
                    kit.fryer && powerW !== null && change({ ...kit, fryer: { ...kit.fryer, powerW } })
                  }
                />
                <Button look="quiet" onClick={() => change({ ...kit, fryer: null })}>
                  There is none
                </Button>
              </>
            ) : (
              <Button
                className="mt-1"
                onClick={() => change({ ...kit, fryer: { oilLitres: 2, powerW: 1800 } })}
              >
                <Plus size={16} aria-hidden /> A fryer or a pot of oil
              </Button>
            )}
          </section>
        </div>
      </div>
    </>
  );
}

/** One more of a list that has an end: at the end it says so instead of taking what could not be saved. */
function AddButton({ word, count, onAdd }: { word: string; count: number; onAdd: () => void }) {
  const full = count >= KIT_LIMITS.each;
  return (
    <>
      <Button className="mt-2" disabled={full} onClick={onAdd}>
        <Plus size={16} aria-hidden /> {word}
      </Button>
      {full && (
        <p role="status" className="mt-1 text-sm text-soft">
          {KIT_LIMITS.each} are the most. Remove one that is no longer used to add another.
        </p>
      )}
    </>
  );
}
