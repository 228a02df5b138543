import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/shared.json', { eager: true, import: 'default' }))
