export { LogbookScreen as default } from '../../features/logbook/LogbookScreen';
