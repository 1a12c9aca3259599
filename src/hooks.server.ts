import type { Handle, HandleServerError } from '@sveltejs/kit';
import { securityHeaders } from '$lib/server/security-headers';

export const handle: Handle = async ({ event, resolve }) => {
  const response = await resolve(event);
  for (const [name, value] of Object.entries(securityHeaders)) {
    if (!response.headers.has(name)) response.headers.set(name, value);
  }
  return response;
};

/** What went wrong inside is nobody's business outside. */
export const handleError: HandleServerError = ({ status }) => ({
  message:
    status === 404
      ? 'There is nothing at this address.'
      : 'The server could not answer. Try again; what you did is kept in your browser.'
});
