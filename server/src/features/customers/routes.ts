import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import { CustomerSchema } from '@zt/core/model/customer';
import {
  CustomerDetailSchema,
  CustomersSchema,
  ErasedSchema,
  SaveCustomerSchema,
} from '@zt/core/model/ordersApi';
import { allBackups } from '../../backup/schedule';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, failures, notFound } from '../../errors';
import { readCustomer } from './detail';
import { eraseCustomer } from './erase';
import { readCustomers } from './reader';
import { saveCustomer } from './writer';

const params = z.object({ id: IdSchema });

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'The customers, by name',
  responses: { 200: answers(CustomersSchema, 'The customers') },
});
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'One customer with their orders, and what was made for them: all that is kept of them',
  request: { params },
  responses: { 200: answers(CustomerDetailSchema, 'The customer'), ...failures },
});
const save = createRoute({
  method: 'put',
  path: '/{id}',
  summary: 'Save a customer; put together with later saves if it is said what it was made from',
  request: { params, body: body(SaveCustomerSchema) },
  responses: { 200: answers(CustomerSchema, 'As saved'), ...failures },
});
const erase = createRoute({
  method: 'post',
  path: '/{id}/erase',
  summary: 'Erase a customer for good: what was made is kept, without them',
  request: { params },
  responses: { 200: answers(ErasedSchema, 'What was changed'), ...failures },
});

export function customerRoutes({ store, now, backups }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readCustomers(store.db), 200))
    .openapi(read, async (c) => {
      const found = await readCustomer(store.db, c.req.valid('param').id);
      if (!found) throw notFound('customer');
      return c.json(found, 200);
    })
    .openapi(save, async (c) => {
      const [asked, { id }] = [c.req.valid('json'), c.req.valid('param')];
      if (asked.customer.id !== id)
        throw new ApiError(
          400,
          'wrong-id',
          `The address says ${id}, the customer says ${asked.customer.id}.`,
        );
      return c.json(await store.write((tx) => saveCustomer(tx, asked, now())), 200);
    })
    .openapi(erase, async (c) => {
      if (c.get('asker').role === 'helper')
        throw new ApiError(403, 'owners-only', 'Only an owner’s device erases a customer.');
      const erased = await store.write((tx) => eraseCustomer(tx, c.req.valid('param').id));
      return c.json({ ...erased, backups: backups ? allBackups(backups).length : 0 }, 200);
    });
}
