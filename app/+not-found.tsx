import { NotFoundScreen } from '@/screens/shared/NotFoundScreen';

export default NotFoundScreen;
