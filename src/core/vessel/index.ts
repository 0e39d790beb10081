export { doughBody, fillVessel, VESSEL_LIMITS, type DoughBody, type Vessel, type VesselFill } from './vessel';
