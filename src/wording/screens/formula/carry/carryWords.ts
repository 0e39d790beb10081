/** What the screen says. */
export const words = {
  liftedArrowsCarryItSpace: (active: string) =>
    `Lifted ${active}. Arrows carry it, Space sets it down, Escape puts it back.`,
  isAtThePlaceOf: (active: string, over: string) => `${active} is at the place of ${over}.`,
  isSetDownAtThe: (active: string, over: string) => `${active} is set down at the place of ${over}.`,
  isBackWhereItWas: (active: string) => `${active} is back where it was.`,
} as const;
