'use client';
import { Cautions } from './Cautions';
import { DoughTemperature } from './DoughTemperature';
import { Inside, YeastRow } from './Inside';
import { useFurtherAnswers } from '../sheet/useFurtherAnswers';

/** What one looks up rather than watches: yeast, composition, the water's warmth, cautions. */
export function MoreAnswers() {
  const { yeast, nutrition, cautions } = useFurtherAnswers();
  return (
    <>
      {yeast && <YeastRow yeast={yeast} />}
      <Inside nutrition={nutrition} />
      <DoughTemperature />
      <Cautions cautions={cautions} />
    </>
  );
}
