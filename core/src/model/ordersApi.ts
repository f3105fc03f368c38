import { z } from 'zod';
import { SendingSchema } from './api';
import { CustomerSchema } from './customer';
import { ORDER_STATES, OrderSchema } from './order';

/** What the shop's computer is asked and answers of orders and customers. */

/** An order or a customer as it is to be, and as it was when it was changed: put together with what others made of it. */
export const SaveOrderSchema = z.object({
  order: OrderSchema,
  base: OrderSchema.optional(),
  sending: SendingSchema.optional(),
});
export type SaveOrder = z.infer<typeof SaveOrderSchema>;
export const SaveCustomerSchema = z.object({
  customer: CustomerSchema,
  base: CustomerSchema.optional(),
  sending: SendingSchema.optional(),
});
export type SaveCustomer = z.infer<typeof SaveCustomerSchema>;

/** A ticket of an order, as far as a list shows it. */
const OrderedTicketSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  pieces: z.number().int(),
  /** The ticket whose pieces it goes on too; null for its own. */
  samePieceAs: z.string().nullable(),
  /** How many of its stages are settled. */
  settled: z.number().int(),
  loggedAs: z.string().nullable(),
  onBench: z.boolean(),
});
export type OrderedTicket = z.infer<typeof OrderedTicketSchema>;

/** An order with the name of its customer and what its tickets come to. */
const OrderLineSchema = z.object({
  order: OrderSchema,
  customer: z.string(),
  tickets: z.number().int(),
  pieces: z.number().int(),
  /** Tickets that are in the logbook. */
  logged: z.number().int(),
});
export type OrderLine = z.infer<typeof OrderLineSchema>;

const asked = { q: z.string().max(200).optional(), after: z.string().max(400).optional() };
/** Open ones: what is not handed over; or those of one state. */
export const OrdersQuestionSchema = z.object({
  ...asked,
  state: z.enum(['open', ...ORDER_STATES]).optional(),
  customer: z.string().max(64).optional(),
});
export type OrdersQuestion = Omit<z.infer<typeof OrdersQuestionSchema>, 'after'>;
export const OrdersPageSchema = z.object({
  orders: z.array(OrderLineSchema),
  total: z.number().int(),
  next: z.string().nullable(),
});
export type OrdersPage = z.infer<typeof OrdersPageSchema>;

export const OrderDetailSchema = z.object({
  order: OrderSchema,
  customer: CustomerSchema.nullable(),
  tickets: z.array(OrderedTicketSchema),
});
export type OrderDetail = z.infer<typeof OrderDetailSchema>;

/** A customer, and how many orders they have. */
export const CustomersSchema = z.array(
  z.object({ customer: CustomerSchema, orders: z.number().int(), open: z.number().int() }),
);
export type Customers = z.infer<typeof CustomersSchema>;
/** What was made for a customer before. */
const MadeBeforeSchema = z.object({
  entryId: z.string(),
  ticketId: z.string(),
  name: z.string(),
  loggedAt: z.string(),
  pieces: z.number().int(),
});
export type MadeBefore = z.infer<typeof MadeBeforeSchema>;
export const CustomerDetailSchema = z.object({
  customer: CustomerSchema,
  orders: z.array(OrderLineSchema),
  made: z.array(MadeBeforeSchema),
});
export type CustomerDetail = z.infer<typeof CustomerDetailSchema>;

/** What was done to erase a customer: of how many orders, tickets and entries the name is gone; what is left. */
export const ErasedSchema = z.object({
  orders: z.number().int(),
  tickets: z.number().int(),
  entries: z.number().int(),
  /** Backups that were made before and still hold it. */
  backups: z.number().int(),
});
export type Erased = z.infer<typeof ErasedSchema>;
