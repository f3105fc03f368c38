import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** What a photo is called. On a page that is not secure a browser has no digest of its own. */
export const photoIdOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
