import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';

/** SHA-256 over canonical JSON (RFC 8785), in hex. */
export function canonicalHash(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new TypeError('Only JSON values can be hashed.');
  return bytesToHex(sha256(utf8ToBytes(text)));
}
