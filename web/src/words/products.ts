import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/products.json', { eager: true, import: 'default' }))
