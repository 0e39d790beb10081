'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useId, useMemo } from 'react';
import type { CarriedProps, CarryAreaProps, CarryListProps } from './carryProps';
import { carryWords } from './carryWords';

/** Where lines or steps are carried to another place, by pointer or by keys. */
export function Area({ nameOf, onDrop, children }: CarryAreaProps) {
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

/** A list whose things can be carried, also into it when it is empty. */
export function List({ id, ids, as: Tag, className, children }: CarryListProps) {
  const { setNodeRef } = useDroppable({ id });
  return (
    <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
      <Tag ref={setNodeRef} className={className}>
        {children}
      </Tag>
    </SortableContext>
  );
}

/** One thing that can be carried. */
export function Carried({ id, children }: CarriedProps) {
  const { setNodeRef, setActivatorNodeRef, listeners, attributes, transform, transition, isDragging } =
    useSortable({ id });
  return children({
    row: { ref: setNodeRef, style: { transform: CSS.Transform.toString(transform), transition } },
    grip: { ref: setActivatorNodeRef, ...attributes, ...listeners },
    carried: isDragging,
  });
}
