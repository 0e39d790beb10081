'use client';
import type { KitOven } from '@/core/kit';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { newKitId } from './KitRow';
import { OvenCard } from './OvenCard';
import { words } from '@/wording/screens/kit/KitOvens';

const newOven = (): KitOven => ({
  id: newKitId(),
  name: words.anotherOven,
  kind: 'static',
  litres: null,
  heatUpMin: null,
  readings: [],
  fitted: null,
});

export function KitOvens({ kit: { ovens, ovenId, roomC }, change }: KitProps) {
  const without = (id: string) => {
    const left = ovens.filter((each) => each.id !== id);
    change({ ovens: left, ovenId: ovenId === id ? left[0]!.id : ovenId });
  };
  return (
    <KitCard title={words.ovens}>
      {ovens.map((oven) => (
        <OvenCard
          key={oven.id}
          oven={oven}
          roomC={roomC}
          usual={oven.id === ovenId}
          onUsual={() => change({ ovenId: oven.id })}
          onChange={(next) => change({ ovens: ovens.map((each) => (each.id === oven.id ? next : each)) })}
          onRemove={ovens.length > 1 ? () => without(oven.id) : null}
        />
      ))}
      <AddButton
        word={words.anotherOven}
        count={ovens.length}
        onAdd={() => change({ ovens: [...ovens, newOven()] })}
      />
    </KitCard>
  );
}
