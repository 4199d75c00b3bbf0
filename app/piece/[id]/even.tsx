import { fromWorkshop } from '@/screens/fromWorkshop';

export default fromWorkshop('EvenScreen');
