export { JointScreen as default } from '@/screens/joint/JointScreen';
