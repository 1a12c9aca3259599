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
export const handleError: HandleServerError = ({ error, event, status }) => {
  if (status === 404) return { message: 'There is nothing at this address.' };
  // The one place that writes to the log: whoever runs the server should see what broke.
  // eslint-disable-next-line no-console
  console.error(
    `${new Date().toISOString()} ${status} ${event.request.method} ${event.url.pathname}`,
    error
  );
  return {
    message: 'The server could not answer. Try again; what you did is saved in your browser.'
  };
};
