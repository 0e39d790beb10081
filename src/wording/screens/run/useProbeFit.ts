/** What the screen says. */
export const words = {
  somebodyChangedTheEquipment: 'Somebody changed the equipment in between. Reload this page and fit again.',
  thatDidNotReachThe: 'That did not reach the server. Nothing was changed; press again.',
  noOvenOfThisKind:
    'No oven of this kind makes that trace with this piece and this method. Check the weight, the tin and the times above, and that the probe sat in the middle.',
  line: (line: string) => `Line ${line}: `,
  thereIsNoBakeIn: 'There is no bake in this method.',
  theCalculationStoppedPress: 'The calculation stopped. Press again.',
} as const;
