import { simulate, type SimulationJob } from '@/server/simulations';

/** What a thread of the host does: one simulation after the other. */
const work = (job: SimulationJob) => simulate(job);
export default work;
