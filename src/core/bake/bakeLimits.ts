import { EATER_LIMITS } from '../eaters/eater';
import { isPlain } from '../plainText';

/** A dough that fell back below where it began, and one that tripled and more. */
export const RISE_MARK_PERCENT = { min: -30, max: 400 } as const;

/** What can be done about a wrong amount. */
export const MENDS = ['carryOn', 'addRest', 'takeOut', 'balance', 'moreOfAll', 'lessOfAll'] as const;
/** Why a bake goes on otherwise than planned: into the cold, other yeast, a load that is lost, another tin. */
export const COURSES = ['cold', 'yeast', 'lost', 'tin'] as const;
/** By how much a dough has grown when it is at the rim of its tin, as far as that is kept, %. */
export const RIM_PERCENT = { min: 0, max: 1000 } as const;
/** How a crust looks beside how it should. */
export const LOOK_COLOURS = ['pale', 'right', 'dark'] as const;
/** What a thermometer is held into. */
export const READING_OF = ['dough', 'water', 'room', 'oil', 'oven', 'core'] as const;
/** A freezer, and a stone for pizza. */
export const READING_C = { min: -30, max: 550 } as const;

/** Whether a press can be kept with this as the name of who did it, as `whoSchema` reads it. */
export const isWho = (name: string): boolean =>
  name.trim() !== '' && name.length <= EATER_LIMITS.nameLength && isPlain(name, false);
