import type { Announcements } from '@dnd-kit/core';

/** What a screen reader says while something is carried, with the thing's own name instead of its id. */
export function carryWords(nameOf: (id: string) => string): Announcements {
  const name = (thing: { id: string | number }) => nameOf(String(thing.id));
  return {
    onDragStart: ({ active }) =>
      `Lifted ${name(active)}. Arrows carry it, Space sets it down, Escape puts it back.`,
    onDragOver: ({ active, over }) =>
      over ? `${name(active)} is at the place of ${name(over)}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over
        ? `${name(active)} is set down at the place of ${name(over)}.`
        : `${name(active)} is back where it was.`,
    onDragCancel: ({ active }) => `${name(active)} is back where it was.`,
  };
}
