/** What the screen says. */
export const words = {
  porosity: 'Porosity',
  ofTheFace: 'of the face within the crust is hole',
  holes: 'Holes',
  middleHole: (across: string) => `half of all openness in holes over ${across} of the height`,
  evenness: 'Evenness',
  oneIsEven: '1 is the same all over',
  tunnel: 'Longest hole',
  ofTheWidth: 'of the width',
  denseLine: 'Dense line',
  ofTheHeight: 'of the height, along the base',
  form: 'Form',
  heightToWidth: 'height to width',
} as const;
