import { later } from '@ui/later/later';

export default later('OutlineScreen');
