import adapter from '@sveltejs/adapter-static';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [
		tailwindcss(),
		sveltekit({
			adapter: adapter({
				pages: '../src/humble_trowel/web',
				assets: '../src/humble_trowel/web',
				fallback: 'index.html',
				strict: true
			}),
			compilerOptions: {
				runes: ({ filename }: { filename: string }) => (filename.includes('node_modules') ? undefined : true)
			},
			paths: { relative: false }
		})
	],
	build: { target: 'es2022', sourcemap: false, assetsInlineLimit: 0 },
	server: { proxy: { '/api': 'http://127.0.0.1:8710' } },
	test: { include: ['src/**/*.test.ts'], environment: 'node' }
});
