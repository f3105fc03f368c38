export { CustomersScreen as default } from '../../features/customers/CustomersScreen';
