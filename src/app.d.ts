declare global {
	namespace App {
		interface Locals {
			/** Whether the sender may see what there is; asked once, before any route. */
			entered?: boolean;
		}
		interface Error {
			message: string;
		}
	}
}

export {};
