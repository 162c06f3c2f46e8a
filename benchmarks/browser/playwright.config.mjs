import { defineConfig } from '@playwright/test';
import tests from '../../playwright.config.mjs';

export default defineConfig(tests, { testDir: '.', workers: 1, reporter: 'list', globalSetup: '../../tests/browser/setup.mjs' });
