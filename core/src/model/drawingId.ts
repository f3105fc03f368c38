import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { DrawingId, KeptDrawing } from './drawing';

/** What a drawing is called. On a page that is not secure a browser has no digest of its own. */
export const drawingIdOf = (text: string): DrawingId => bytesToHex(sha256(utf8ToBytes(text)));

/** Whether a text is the drawing that it is called. */
export const isTheDrawing = ({ id, text }: KeptDrawing): boolean => drawingIdOf(text) === id;
