export { BlendScreen as default } from '@/screens/blend/BlendScreen';
