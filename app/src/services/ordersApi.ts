import type { OrderCost } from '@zt/core/business/cost/orderCost';
import type { Customer } from '@zt/core/model/customer';
import type { Order } from '@zt/core/model/order';
import type {
  CustomerDetail,
  Customers,
  Erased,
  OrderDetail,
  OrdersPage,
  OrdersQuestion,
  SaveCustomer,
  SaveOrder,
} from '@zt/core/model/ordersApi';
import { api } from './api';

/** The order book and the customers. */
export const ordersApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** Page by page, soonest due first. */
    orders: build.infiniteQuery<OrdersPage, OrdersQuestion, string>({
      infiniteQueryOptions: { initialPageParam: '', getNextPageParam: ({ next }) => next ?? undefined },
      query: ({ queryArg, pageParam: after }) => ({
        url: '/orders',
        params: Object.fromEntries(Object.entries({ ...queryArg, after }).filter(([, value]) => value)),
      }),
      providesTags: ['orders'],
    }),
    order: build.query<OrderDetail, string>({
      query: (id) => `/orders/${id}`,
      providesTags: ['orders', 'tickets'],
    }),
    orderCost: build.query<OrderCost, string>({
      query: (id) => `/orders/${id}/cost`,
      providesTags: ['orders', 'tickets', 'shelf', 'rules', 'logbook'],
      keepUnusedDataFor: 5,
    }),
    saveOrder: build.mutation<Order, SaveOrder>({
      query: (body) => ({ url: `/orders/${body.order.id}`, method: 'PUT', body }),
      invalidatesTags: ['orders', 'customer', 'earlier'],
    }),
    removeOrder: build.mutation<unknown, string>({
      query: (id) => ({ url: `/orders/${id}`, method: 'DELETE' }),
      invalidatesTags: ['orders', 'customer'],
    }),
    restoreOrder: build.mutation<unknown, string>({
      query: (id) => ({ url: `/orders/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['orders', 'customer'],
    }),
    customers: build.query<Customers, void>({
      query: () => '/customers',
      providesTags: ['customers', 'orders'],
    }),
    customer: build.query<CustomerDetail, string>({
      query: (id) => `/customers/${id}`,
      // Erased, it is not asked for again: the page that did it says so.
      providesTags: ['customer'],
    }),
    saveCustomer: build.mutation<Customer, SaveCustomer>({
      query: (body) => ({ url: `/customers/${body.customer.id}`, method: 'PUT', body }),
      invalidatesTags: ['customers', 'customer', 'orders', 'earlier'],
    }),
    eraseCustomer: build.mutation<Erased, string>({
      query: (id) => ({ url: `/customers/${id}/erase`, method: 'POST' }),
      invalidatesTags: (erased) => (erased ? ['customers', 'orders', 'tickets', 'logbook', 'searches'] : []),
    }),
  }),
});

/** A quote or a receipt of an order. */
export const orderPaper = (id: string, kind: 'quote' | 'receipt', paper: 'a4' | 'a5' = 'a4'): string =>
  `/api/orders/${id}/${kind}.pdf?paper=${paper}`;
/** All that is kept of a customer, as a file. */
export const customerFile = (id: string): string => `/api/customers/${id}`;

export const {
  useOrdersInfiniteQuery,
  useOrderQuery,
  useOrderCostQuery,
  useCustomersQuery,
  useCustomerQuery,
  useEraseCustomerMutation,
} = ordersApi;
