import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/api.json', { eager: true, import: 'default' }))
