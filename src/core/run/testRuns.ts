import type { Formula } from '../formula/formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { newStep } from '../method/step';

/** Made-up rolls with a whole method, for tests of the run. */
export function rollsWithMethod(): Formula {
  const plain = plainLoaf();
  return {
    ...plain,
    style: 'rolls',
    usualYield: { ...plain.usualYield, pieces: 10, pieceMassG: 85 },
    stages: plain.stages.map((stage, index) =>
      index === 0
        ? { ...stage, lines: [...stage.lines, line('instant-yeast', 7), line('sugar', 12)] }
        : stage,
    ),
    steps: [
      { ...newStep('mix', 'mix'), minS: 300 },
      { ...newStep('shape', 'shape'), minS: 300 },
      { ...newStep('proof', 'proof'), minS: 3000, tempC: 28 },
      { ...newStep('bake', 'bake'), minS: 1500, tempC: 205 },
      { ...newStep('cool', 'cool'), minS: 3600 },
    ],
  };
}
