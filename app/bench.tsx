export { BenchScreen as default } from '@/screens/bench/BenchScreen';
