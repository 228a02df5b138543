import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/changes.json', { eager: true, import: 'default' }))
