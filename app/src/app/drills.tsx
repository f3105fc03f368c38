export { DrillsScreen as default } from '../features/drills/DrillsScreen';
