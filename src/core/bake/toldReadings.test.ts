import { toldReadings } from './toldReadings';

test('with what is done goes what heat, oil, core and room were; a dough only by a press, and no probe that lies beside it', () => {
  const probes = [
    { of: 'core', tempC: 96.84 },
    { of: 'oven', tempC: 24 },
    { of: 'oil', tempC: 60 },
    { of: 'dough', tempC: 27 },
    { of: 'room', tempC: 22.2 },
  ] as const;
  expect(
    toldReadings(
      [
        { type: 'noted', text: 'x' },
        { type: 'stepDone', stepId: 'bake' },
        { type: 'timerStarted', stepId: 'cool', durationS: 60 },
      ],
      probes,
    ),
  ).toEqual([
    { type: 'reading', of: 'core', tempC: 96.8, stepId: 'bake' },
    { type: 'reading', of: 'oil', tempC: 60, stepId: 'bake' },
    { type: 'reading', of: 'room', tempC: 22.2, stepId: null },
  ]);
  expect(toldReadings([{ type: 'timerStarted', stepId: 'proof', durationS: 60 }], probes)).toHaveLength(3);
  for (const action of [
    { type: 'noted', text: 'x' },
    { type: 'timerStopped', stepId: 'bake' },
  ] as const)
    expect(toldReadings([action], probes)).toEqual([]);
});
