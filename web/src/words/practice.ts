import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/practice.json', { eager: true, import: 'default' }))
