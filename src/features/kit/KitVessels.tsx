'use client';
import { KIT_LIMITS, VESSEL_KINDS, type Kit } from '@/core/kit';
import { words } from '@/wording/screens/kit/KitVessels';
import { NumberField } from '../quantities/NumberField';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { KitRow, newKitId } from './KitRow';
import { LengthField } from './SizeField';

type Vessel = Kit['vessels'][number];
const KINDS = VESSEL_KINDS.map((value) => ({ value, label: words.kinds[value] }));
const newVessel = (): Vessel => ({
  id: newKitId(), name: words.aMixer, kind: 'mixer', litres: null, acrossCm: null, mostDoughG: null,
}); // prettier-ignore
const MIXED_IN: ReadonlySet<Vessel['kind']> = new Set(['bowl', 'mixer']);

/** Bowls, mixers, kettles, pans: how much dough they take, how many rings float in them. */
export function KitVessels({ kit: { vessels }, change }: KitProps) {
  return (
    <KitCard title={words.title}>
      {vessels.length === 0 && <p className="text-sm text-soft">{words.none}</p>}
      {vessels.map((vessel) => {
        const put = (part: Partial<Vessel>) =>
          change({ vessels: vessels.map((each) => (each.id === vessel.id ? { ...each, ...part } : each)) });
        return (
          <KitRow
            key={vessel.id}
            name={vessel.name}
            kind={vessel.kind}
            kinds={KINDS}
            onName={(name) => put({ name })}
            onKind={(kind) => put({ kind })}
            onRemove={() => change({ vessels: vessels.filter((each) => each.id !== vessel.id) })}
          >
            <NumberField
              word={words.holds}
              measure="volume"
              name="litres"
              optional
              value={vessel.litres}
              bounds={KIT_LIMITS.vesselLitres}
              onChange={(litres) => put({ litres })}
            />
            {MIXED_IN.has(vessel.kind) ? (
              <NumberField
                word={words.mostDough}
                measure="mass"
                name="mostDoughG"
                optional
                value={vessel.mostDoughG}
                bounds={KIT_LIMITS.mostDoughG}
                onChange={(mostDoughG) => put({ mostDoughG })}
              />
            ) : (
              <LengthField word={words.across} name="acrossCm" of={vessel} put={put} />
            )}
          </KitRow>
        );
      })}
      <AddButton
        word={words.add}
        count={vessels.length}
        onAdd={() => change({ vessels: [...vessels, newVessel()] })}
      />
    </KitCard>
  );
}
