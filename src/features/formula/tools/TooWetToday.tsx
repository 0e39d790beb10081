'use client';
import { useState } from 'react';
import { tooWet } from '@/core/adjust';
import { BANDS, type Band } from '@/core/consistency';
import { massByIngredient } from '@/core/formula';
import { isFlourBase } from '@/core/ingredients';
import { useBook, useNameOf } from '../../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../../preferences/PreferencesProvider';
import { BAND_OPTIONS } from '@/wording/bands';
import { wordProblem } from '@/wording/problems';
import { useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { words } from '@/wording/screens/formula/tools/TooWetToday';

/** What every kitchen has, beside the powders of the sheet. */
const AT_HAND = ['tapioca-starch', 'white-rice-flour', 'psyllium-powder'];

/** As exactly as a spoon is worth reading: whole grams, fives above fifty. */
const roughly = (massG: number): number =>
  massG > 50 ? Math.round(massG / 5) * 5 : massG > 5 ? Math.round(massG) : massG;

export function TooWetToday() {
  const numbers = useNumbers();
  const formula = useSheetState((state) => state.formula);
  const rested = useSheetState((state) => state.answers.consistency?.rested.band ?? 'soft');
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  const { preferences } = usePreferences();
  const [felt, setFelt] = useState<Band>(BANDS[BANDS.indexOf(rested) + 1] ?? rested);
  const [wanted, setWanted] = useState<Band>(rested);
  const onSheet = [...massByIngredient(formula).keys()].filter((id) => {
    const ingredient = book.get(id);
    // a bag as bought is one thing here too
    return ingredient && isFlourBase(ingredient);
  });
  const answers = tooWet(formula, felt, wanted, [...new Set([...onSheet, ...AT_HAND])], book);
  return (
    <>
      <Asked word={words.itFeels} value={felt} options={BAND_OPTIONS} onChange={setFelt} />
      <Asked word={words.itShouldBe} value={wanted} options={BAND_OPTIONS} onChange={setWanted} />
      {answers.ok ? (
        <ul className="mt-4 border-t border-rule" data-testid="too-wet">
          {answers.value.map(
            ({ ingredientId, addG, lowG, highG, hydration, saltPercent, saltG, leavenG }) => (
              <li key={ingredientId} className="border-b border-rule py-2">
                <p className="flex items-baseline justify-between gap-3">
                  <span className="font-medium">{nameOf(ingredientId)}</span>
                  <span className="text-right">
                    <span className="figure text-2xl">+ {units.mass(roughly(addG))}</span>
                    <span className="ml-2 text-sm text-soft">
                      {units.massRange(roughly(lowG), roughly(highG))}
                    </span>
                  </span>
                </p>
                <p className="text-xs text-soft">
                  {words.water(
                    numbers.decimal(hydration.from ?? 0, 1),
                    numbers.decimal(hydration.to ?? 0, 1),
                  )}
                  {saltPercent.from !== null && saltPercent.from > 0 && (
                    <>
                      {words.salt(
                        numbers.decimal(saltPercent.from, 2),
                        numbers.decimal(saltPercent.to ?? 0, 2),
                      )}
                      {saltG >= 0.05 && <>{words.moreKeepsIt(units.mass(saltG))}</>}
                    </>
                  )}
                  {leavenG
                    .filter((leaven) => leaven.addG >= 0.05)
                    .map((leaven) => (
                      <span key={leaven.ingredientId}>
                        {words.moreKeepsItsPace(
                          nameOf(leaven.ingredientId).toLowerCase(),
                          units.mass(leaven.addG),
                        )}
                      </span>
                    ))}
                </p>
              </li>
            ),
          )}
        </ul>
      ) : (
        <p role="alert" className="mt-4 text-alarm">
          {answers.problem.code === 'rangeReversed'
            ? words.toMakeItFirmer
            : wordProblem(answers.problem, preferences)}
        </p>
      )}
    </>
  );
}
