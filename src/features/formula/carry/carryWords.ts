import type { Announcements } from '@dnd-kit/core';
import { words } from '@/wording/screens/formula/carry/carryWords';

/** What a screen reader says while something is carried, with the thing's own name instead of its id. */
export function carryWords(nameOf: (id: string) => string): Announcements {
  const name = (thing: { id: string | number }) => nameOf(String(thing.id));
  return {
    onDragStart: ({ active }) => words.liftedArrowsCarryItSpace(name(active)),
    onDragOver: ({ active, over }) => (over ? words.isAtThePlaceOf(name(active), name(over)) : undefined),
    onDragEnd: ({ active, over }) =>
      over ? words.isSetDownAtThe(name(active), name(over)) : words.isBackWhereItWas(name(active)),
    onDragCancel: ({ active }) => words.isBackWhereItWas(name(active)),
  };
}
