// The truth is in the browser's database, so nothing can be drawn before the browser has it.
export const ssr = false;
export const prerender = false;
