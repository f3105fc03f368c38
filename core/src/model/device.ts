import { z } from 'zod';
import { IdSchema } from '../base/ids';

/** Who works on a device: an owner may do all; a helper works on pieces, and leaves the shop itself alone. */
export const DEVICE_ROLES = ['owner', 'helper'] as const;
export type DeviceRole = (typeof DEVICE_ROLES)[number];

const deviceName = z.string().trim().min(1).max(60);

/** A device that was paired with the shop's computer. */
export const PairedDeviceSchema = z.object({
  id: IdSchema,
  name: z.string(),
  role: z.enum(DEVICE_ROLES),
  pairedAt: z.string(),
  /** When it last asked for something; null if never since. */
  seenAt: z.string().nullable(),
});
export type PairedDevice = z.infer<typeof PairedDeviceSchema>;

/** What this device may do. Null: it is not paired, and may do nothing. */
export const OwnDeviceSchema = z.object({
  role: z.enum(DEVICE_ROLES).nullable(),
  /** Whether it is the shop's computer itself. */
  isShopsComputer: z.boolean(),
  /** The port at which the shop's computer speaks https; null where it does not. */
  securePort: z.number().int().nullable(),
});
export type OwnDevice = z.infer<typeof OwnDeviceSchema>;

/** Whether the shop's computer answers other devices, and whether the one that asks may switch that. */
export const NetworkSchema = z.object({ isOpen: z.boolean(), maySwitch: z.boolean() });
export type Network = z.infer<typeof NetworkSchema>;
export const OpenNetworkSchema = NetworkSchema.pick({ isOpen: true });

/** Asks for a code that pairs one device. */
export const AskCodeSchema = z.object({ role: z.enum(DEVICE_ROLES) });

/** A code that pairs one device, with where it is entered. */
export const PairingCodeSchema = z.object({
  code: z.string(),
  role: z.enum(DEVICE_ROLES),
  expiresAt: z.string(),
  /** The pages that take it, by the addresses of the shop's computer; empty while it answers nobody else. */
  pages: z.array(z.string()),
  /** The first of them as squares, row by row: true is dark. Null where there is none. */
  squares: z.array(z.array(z.boolean())).nullable(),
});
export type PairingCode = z.infer<typeof PairingCodeSchema>;

export const PairSchema = z.object({ code: z.string().regex(/^\d{6}$/, 'Six digits.'), name: deviceName });
export type Pair = z.infer<typeof PairSchema>;
