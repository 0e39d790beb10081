'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { useId, useMemo, type ReactNode } from 'react';
import { carryWords } from './carryWords';

interface CarryAreaProps {
  /** The name a screen reader says for a thing or a place; stable, or the area is set up again at each drawing. */
  nameOf: (id: string) => string;
  /** A thing was set down on another one. */
  onDrop: (id: string, overId: string) => void;
  children: ReactNode;
}

/** Where lines or steps are carried to another place, by pointer or by keys. */
export function CarryArea({ nameOf, onDrop, children }: CarryAreaProps) {
  const id = useId();
  const sensors = useSensors(
    // a few pixels first: a press on the handle alone carries nothing
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const accessibility = useMemo(() => ({ announcements: carryWords(nameOf) }), [nameOf]);
  return (
    <DndContext
      id={id}
      accessibility={accessibility}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onDrop(String(active.id), String(over.id));
      }}
    >
      {children}
    </DndContext>
  );
}
