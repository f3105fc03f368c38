export { RulesScreen as default } from '../features/rules/RulesScreen';
