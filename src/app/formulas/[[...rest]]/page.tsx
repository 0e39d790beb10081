import { earlierAddress } from '../../earlierAddress';

export default earlierAddress('formulas');
