export { ReportScreen as default } from '@/screens/report/ReportScreen';
