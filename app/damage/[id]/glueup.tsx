export { GlueUpScreen as default } from '@/screens/glueup/GlueUpScreen';
