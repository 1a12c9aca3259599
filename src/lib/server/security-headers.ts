/**
 * Headers every answer carries. Pages bring a content policy of their own with their script hashes;
 * this one is for everything else, which has no business loading anything. Camera and microphone are for the app itself
 * alone, which asks for them when a take is made with them.
 */
export const securityHeaders: Readonly<Record<string, string>> = {
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(self), geolocation=(), payment=()'
};
