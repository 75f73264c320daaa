import { config, RouterLinkStub } from '@vue/test-utils'
import * as parts from 'element-plus'
import type { Component } from 'vue'

/** The application finds its parts by name when it is built; a component that is tested alone finds them so. Links lead nowhere. */
for (const [name, part] of Object.entries(parts)) {
  if (/^El[A-Z]/.test(name)) config.global.components[name] = part as Component
}
config.global.stubs = { ...config.global.stubs, NuxtLink: RouterLinkStub }
