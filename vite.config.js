import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';

export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.css', 'resources/js/app.js'], refresh: false })],
    // The policy allows no data: addresses, so every font stays a file.
    build: { assetsInlineLimit: 0, modulePreload: { polyfill: false } },
});
