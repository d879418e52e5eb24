import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

let hexOf = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)));

/** SHA-256 of a text in UTF-8, in hex (FIPS 180-4). */
export const sha256Hex = (text: string): string => hexOf(text);

/** Where a platform has it built in, its own is taken: the same answer, many times sooner. */
export function takeSha256(own: (text: string) => string): void {
  hexOf = own;
}
