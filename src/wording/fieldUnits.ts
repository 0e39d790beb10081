/** What the limits of a field are counted in, by the field's name; a field that is not here is a plain number. */
export const FIELD_UNITS: Readonly<
  Record<
    string,
    | 'percent'
    | 'mass'
    | 'temperature'
    | 'warming'
    | 'duration'
    | 'length'
    | 'thickness'
    | 'height'
    | 'volume'
    | undefined
  >
> = {
  massG: 'mass',
  weighedG: 'mass',
  pieceMassG: 'mass',
  pieceG: 'mass',
  totalG: 'mass',
  targetG: 'mass',
  baseG: 'mass',
  bowlG: 'mass',
  upToG: 'mass',
  massBeforeG: 'mass',
  massAfterG: 'mass',
  lengthCm: 'length',
  widthCm: 'length',
  heightCm: 'length',
  thickMm: 'thickness',
  altitudeM: 'height',
  litres: 'volume',
  oilLitres: 'volume',
  tempC: 'temperature',
  roomC: 'temperature',
  warmC: 'temperature',
  fridgeC: 'temperature',
  wantedC: 'temperature',
  tapC: 'temperature',
  pouredC: 'temperature',
  doughC: 'temperature',
  startC: 'temperature',
  setC: 'temperature',
  coreC: 'temperature',
  coreTempC: 'temperature',
  dialC: 'temperature',
  trueC: 'temperature',
  frictionCPerMin: 'warming',
  smokePointC: 'temperature',
  gelatinisationC: 'temperature',
  minS: 'duration',
  maxS: 'duration',
  deltaS: 'duration',
  durationS: 'duration',
  targetS: 'duration',
  atS: 'duration',
  percent: 'percent',
  linePercent: 'percent',
  lossPercent: 'percent',
  bakeLossPercent: 'percent',
  bowlLossPercent: 'percent',
  grownPercent: 'percent',
};
