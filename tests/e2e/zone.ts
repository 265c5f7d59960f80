/** Where the browser of the tests says it is; the server is somewhere else. */
export const BROWSER_ZONE = 'Europe/Vienna';
