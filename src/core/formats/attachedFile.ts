import { sayFixed } from '../model/units/mark';
import Joi from 'joi';
import { refuse, type Result } from '../model/result';
import { checkShape } from '../read/problems';

/** Something kept with a part: a drawing as it came, a photo of a piece or of a set-up. */
export interface Attached {
  id: number;
  name: string;
  type: AttachedType;
  bytes: number;
  addedAt: string;
}

/** What may be kept: pictures and paper, nothing that a browser would run. */
export const ATTACHED_TYPES = ['image/png', 'image/jpeg', 'image/webp', 'application/pdf'] as const;
export type AttachedType = (typeof ATTACHED_TYPES)[number];

/** The most that one may have, bytes: a photo as a tablet takes it. As base64 it is under the ten megabytes that the server lets in. */
export const MOST_BYTES = 7_000_000;

/** How the content of each type begins; a name or a claim says nothing. */
const BEGINNINGS: Record<AttachedType, (bytes: Uint8Array) => boolean> = {
  'image/png': (bytes) => startsWith(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  'image/jpeg': (bytes) => startsWith(bytes, [0xff, 0xd8, 0xff]),
  'image/webp': (bytes) => asText(bytes, 0, 4) === 'RIFF' && asText(bytes, 8, 12) === 'WEBP',
  'application/pdf': (bytes) => asText(bytes, 0, 5) === '%PDF-',
};

const startsWith = (bytes: Uint8Array, start: readonly number[]): boolean =>
  start.every((byte, index) => bytes[index] === byte);
const asText = (bytes: Uint8Array, from: number, to: number): string =>
  String.fromCharCode(...bytes.subarray(from, to));

/** Something to be kept, as it was sent and found to be. */
export interface ToAttach {
  name: string;
  type: AttachedType;
  bytes: number;
  /** Its content, base64. */
  content: string;
}

const schema = Joi.object<{ name: string; content: string }>({
  name: Joi.string().trim().min(1).max(120).required(),
  content: Joi.string().base64().required(),
}).required();

/** Reads what is to be kept with a part; its type is what its content begins with. Refuses with where, what, and what would do. */
export function readAttached(value: unknown): Result<ToAttach> {
  const shaped = checkShape(schema, value);
  if (!shaped.ok) return shaped;
  const { name, content } = shaped.value;
  const bytes = bytesIn(content);
  const tooLarge = sayTooLarge(bytes);
  if (tooLarge) return refuse('content', tooLarge);
  // Sixteen bytes tell what it is.
  const start = Uint8Array.from(atob(content.slice(0, 24)), (sign) => sign.charCodeAt(0));
  const type = ATTACHED_TYPES.find((candidate) => BEGINNINGS[candidate](start));
  if (!type) return refuse('content', `${name} is no PNG, JPEG, WebP or PDF inside; save the drawing as one of these`);
  return { ok: true, value: { name, type, bytes, content } };
}

/** What is said of one that is too large to be kept. */
export const sayTooLarge = (bytes: number): string | undefined =>
  bytes > MOST_BYTES
    ? `has ${sayBytes(bytes)}; at most ${sayBytes(MOST_BYTES)} are kept: make the picture smaller`
    : undefined;

/** Bytes that a base64 text stands for. */
const bytesIn = (content: string): number =>
  (content.length / 4) * 3 - (content.endsWith('==') ? 2 : content.endsWith('=') ? 1 : 0);

/** `820 kB`, `3.4 MB`. */
export const sayBytes = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${sayFixed(bytes / 1_000_000, 1)} MB`;
