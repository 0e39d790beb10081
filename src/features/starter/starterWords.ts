import type { StarterEvent } from '@/core/starter/starterDocument';
import { words } from '@/wording/screens/starter/starters';

/** What happened, in words. */
export function eventWords(event: StarterEvent, mass: (massG: number) => string): string {
  const of = words.event;
  switch (event.kind) {
    case 'fed':
      return event.keptG === 0
        ? of.begun(mass(event.flourG), mass(event.waterG))
        : of.fed(mass(event.keptG), mass(event.flourG), mass(event.waterG));
    case 'moved':
      return of.moved(event.place);
    case 'taken':
    case 'weighed':
    case 'discardUsed':
      return of[event.kind](mass(event.massG));
    case 'thrown':
      return of.thrown(event.sign);
    default:
      return of[event.kind];
  }
}
