import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [
    // Elements on lines of their own keep a space between them, as they are written.
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    vuetify({ autoImport: true }),
    // The application itself is kept by the browser, so that it opens while the server is away.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Dauer',
        short_name: 'Dauer',
        description: 'The brake bench: gauge, judge, rebuild, prove.',
        display: 'standalone',
        start_url: '/',
        background_color: '#f2f1eb',
        theme_color: '#fbfaf6',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/calendar\//],
        cleanupOutdatedCaches: true,
        // The page that it was installed by is kept by it as well, and hears of what is newer.
        clientsClaim: true,
      },
    }),
  ],
  build: { target: 'es2022', chunkSizeWarningLimit: 700 },
  // The server asks that what is sent comes from where it is sent to: the name of the page goes along.
  server: { proxy: { '/api': { target: process.env['DAUER_SERVER'] ?? 'http://127.0.0.1:4680', changeOrigin: false } } },
});
