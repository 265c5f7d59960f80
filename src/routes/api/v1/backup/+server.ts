import { backupDirectory, backupName } from '$lib/server/backup/backup-file';
import { dumpStream } from '$lib/server/backup/dump';
import { noteDownload } from '$lib/server/backup/kept';
import { serverContext } from '$lib/server/running/context';
import { showStream } from '$lib/server/http/respond';

export const GET = showStream(() => {
	const { config } = serverContext();
	const now = Date.now();
	const stream = dumpStream(config.DATABASE_URL);
	// Handed out whole; when it broke off there is nothing to remember.
	stream.once('end', () => void noteDownload(backupDirectory(config), now).catch(() => undefined));
	return { stream, mediaType: 'application/gzip', name: backupName(config, 'backup', now) };
});
