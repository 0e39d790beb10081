import { earlierAddress } from '../../earlierAddress';

export default earlierAddress('kit');
