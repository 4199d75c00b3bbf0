export { DemoScreen as default } from '@/screens/demo/DemoScreen';
