import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'mysql', schema: './src/lib/server/base/db/schema.ts', out: './drizzle', casing: 'snake_case' });
