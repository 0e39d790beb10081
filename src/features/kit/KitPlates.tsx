'use client';
import { Plus } from 'lucide-react';
import { KIT_LIMITS, type Kit } from '@/core/kit';
import { PLATE_KINDS } from '@/core/method/heating';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { NumberField } from '../quantities/NumberField';
import { Row } from '../quantities/Row';
import { PLATE_KIND_WORD } from '@/wording/run';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { KitRow, newKitId } from './KitRow';
import { CountField, LengthField } from './SizeField';
import { words } from '@/wording/screens/kit/KitPlates';

const KINDS = PLATE_KINDS.map((value) => ({ value, label: PLATE_KIND_WORD[value] }));
const FORMS = [
  { value: 'square', label: words.square },
  { value: 'round', label: words.round },
] as const;
const newPlate = (): Kit['plates'][number] => ({
  id: newKitId(), name: words.aStone, kind: 'stone', thickMm: null,
}); // prettier-ignore

export function KitPlates({ kit, change }: KitProps) {
  const { plates } = kit;
  return (
    <KitCard title={words.stonesSteelsPotsAndTrays}>
      {plates.map((plate) => {
        const put = (part: Partial<typeof plate>) =>
          change({ plates: plates.map((each) => (each.id === plate.id ? { ...each, ...part } : each)) });
        return (
          <KitRow
            key={plate.id}
            name={plate.name}
            kind={plate.kind}
            kinds={KINDS}
            onName={(name) => put({ name })}
            onKind={(kind) => put({ kind })}
            onRemove={() => change({ plates: plates.filter((each) => each.id !== plate.id) })}
          >
            <NumberField
              word={words.howThick}
              measure="thick"
              name="thickMm"
              optional
              value={plate.thickMm}
              bounds={KIT_LIMITS.thickMm}
              onChange={(thickMm) => put({ thickMm })}
            />
            <Row word={words.form}>
              <Choice
                label={words.formOf(plate.name)}
                value={plate.round ? 'round' : 'square'}
                options={FORMS}
                onChange={(form) =>
                  put(form === 'round' ? { round: true, widthCm: null } : { round: undefined })
                }
                className="border-edge"
              />
            </Row>
            <LengthField
              word={plate.round ? words.across : words.long}
              name="lengthCm"
              of={plate}
              put={put}
            />
            {!plate.round && <LengthField word={words.wide} name="widthCm" of={plate} put={put} />}
            <CountField
              word={words.howMany}
              value={plate.count ?? 1}
              onChange={(count) => put({ count: count ?? undefined })}
            />
          </KitRow>
        );
      })}
      <AddButton
        word={words.aStoneSteelOrPot}
        count={plates.length}
        onAdd={() => change({ plates: [...plates, newPlate()] })}
      />
      <Fryer kit={kit} change={change} />
    </KitCard>
  );
}

function Fryer({ kit: { fryer }, change }: KitProps) {
  if (!fryer)
    return (
      <>
        <h3 className="mt-4 text-base">{words.fryer}</h3>
        <Button className="mt-1" onClick={() => change({ fryer: { oilLitres: 2, powerW: 1800 } })}>
          <Plus size={16} aria-hidden />
          {words.aFryerOrAPot}
        </Button>
      </>
    );
  return (
    <>
      <h3 className="mt-4 text-base">{words.fryer}</h3>
      <NumberField
        word={words.oilInIt}
        measure="volume"
        name="oilLitres"
        value={fryer.oilLitres}
        bounds={KIT_LIMITS.oilLitres}
        onChange={(oilLitres) => oilLitres !== null && change({ fryer: { ...fryer, oilLitres } })}
      />
      <NumberField
        word={words.itsPower}
        unit="W"
        name="powerW"
        places={0}
        value={fryer.powerW}
        bounds={KIT_LIMITS.powerW}
        onChange={(powerW) => powerW !== null && change({ fryer: { ...fryer, powerW } })}
      />
      <LengthField
        word={words.across}
        name="acrossCm"
        of={fryer}
        put={(part) => change({ fryer: { ...fryer, ...part } })}
      />
      <Button look="quiet" onClick={() => change({ fryer: null })}>
        {words.thereIsNone}
      </Button>
    </>
  );
}
