'use client';
import { allLines } from '@/core/formula';
import type { Cue, MethodStep } from '@/core/method';
import { formatDuration } from '@/core/units';
import { BAND_WORD } from '@/wording/bands';
import { COVER_WORD, CUE_WORD, PLACE_WORD } from '@/wording/method';
import { COLOUR_WORD, MOIST_WORD, PLATE_WORD } from '@/wording/run';
import { words } from '@/wording/screens/formula/StepFields';
import { STAGE_WORD } from '@/wording/words';
import { useNameOf } from '../../book/BookProvider';
import { useNumbers, useUnits } from '../../preferences/PreferencesProvider';
import { useSheetState } from '../../sheet/SheetContext';
import { fieldsOf, usualPlace } from './fieldsOf';

/** A field in words; `assumed`: nobody set it, it is as usual. */
export interface FieldWords {
  readonly text: string;
  readonly assumed: boolean;
}

/** What a step's fields say but for what goes in, which only a sheet knows. */
export function useFieldWords(): (step: MethodStep) => readonly FieldWords[] {
  const numbers = useNumbers();
  const units = useUnits();
  const cueWords = (cue: Cue): string => {
    const word = CUE_WORD[cue.kind];
    switch (cue.kind) {
      case 'grown':
        return `${word} ${numbers.decimal(cue.percent, 0)} %`;
      case 'core':
        return `${word} ${units.temperature(cue.tempC)}`;
      case 'feel':
        return `${word} ${BAND_WORD[cue.band].name.toLowerCase()}`;
      case 'colour':
        return `${word} ${COLOUR_WORD[cue.colour]}`;
      default:
        return word;
    }
  };
  return (step) => {
    const fields: FieldWords[] = [];
    const set = (text: string) => fields.push({ text, assumed: false });
    const { stands, cue, heat, sides, again, atATime, kind } = step;
    if (stands) {
      set(PLACE_WORD[stands.place]);
      if (stands.cover) set(COVER_WORD[stands.cover]);
      if (stands.humidityPercent) set(`${words.humidity} ${numbers.decimal(stands.humidityPercent, 0)} %`);
    } else if (fieldsOf(step).stands && kind !== 'cool')
      fields.push({ text: PLACE_WORD[usualPlace(step)], assumed: true });
    if (heat?.on !== undefined) set(PLATE_WORD[heat.on ?? 'rack']);
    if (heat?.inTin !== undefined) set(heat.inTin ? words.inTin : words.outOfTin);
    if (heat?.moist) set(MOIST_WORD[heat.moist]);
    if (heat?.topped) set(words.topped);
    if (heat?.paper) set(words.paper);
    if (sides) set(words.sidesSaid(sides));
    if (again)
      set(
        again.everyS
          ? words.timesEverySaid(again.times, formatDuration(again.everyS))
          : words.timesSaid(again.times),
      );
    if (atATime) set(words.atATimeSaid(atATime));
    if (cue) set(words.untilSaid(cueWords(cue)));
    return fields;
  };
}

/** What a step's fields say, in a few words each, in the order of the work. */
export function useStepWords(): (step: MethodStep) => readonly FieldWords[] {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const fieldWords = useFieldWords();
  const stages = useSheetState((state) => state.formula.stages);
  const takenWords = (each: NonNullable<MethodStep['takes']>[number]): string => {
    const lines = allLines({ stages });
    const stage = 'stageId' in each ? stages.find(({ id }) => id === each.stageId) : undefined;
    const name =
      'lineId' in each
        ? nameOf(lines.find(({ id }) => id === each.lineId)?.ingredientId ?? '').toLowerCase()
        : (stage?.name || (stage ? STAGE_WORD[stage.kind] : '')).toLowerCase();
    return each.share < 1 ? words.shareSaid(numbers.decimal(100 * each.share, 0), name) : name;
  };
  return (step) => {
    const { takes } = step;
    const goesIn = takes && takes.length > 0 ? words.takesSaid(takes.map(takenWords).join(', ')) : null;
    return [...(goesIn ? [{ text: goesIn, assumed: false }] : []), ...fieldWords(step)];
  };
}
