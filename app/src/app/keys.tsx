export { KeysScreen as default } from '../features/bench/KeysScreen';
