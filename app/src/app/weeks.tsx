export { WeeksScreen as default } from '../features/weeks/WeeksScreen';
