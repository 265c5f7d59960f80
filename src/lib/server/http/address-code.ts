import { toDataURL } from 'qrcode';

/** Addresses that mean another machine to whoever reads them. */
const OWN_MACHINE = /^(localhost|127\.[\d.]+|\[::1\])$/;

/**
 * A picture of a page's address for paper, so that a telephone finds the page again; null where the address leads nowhere but on this machine.
 * @returns a PNG as data URL
 */
export const addressCode = async (url: URL): Promise<string | null> =>
	OWN_MACHINE.test(url.hostname)
		? null
		: await toDataURL(`${url.origin}${url.pathname}`, { margin: 0, scale: 3, errorCorrectionLevel: 'M' });
