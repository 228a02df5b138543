import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/behind.json', { eager: true, import: 'default' }))
