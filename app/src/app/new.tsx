export { NewTicketScreen as default } from '../features/newTicket/NewTicketScreen';
