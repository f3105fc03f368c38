export { PicturesScreen as default } from '../../features/logbook/PicturesScreen';
