/** What the screen says. */
export const words = {
  changesToTheEquipment: 'Changes to the equipment',
} as const;
