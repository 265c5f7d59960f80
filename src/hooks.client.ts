import { localeFrom } from '$lib/ui/words/locale';

// What the server made the page in; the page goes on in it.
localeFrom(() => document.documentElement.dataset.locale);
