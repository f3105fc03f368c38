import { FirstScreen } from '../features/first/FirstScreen';

export default FirstScreen;
