import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/around.json', { eager: true, import: 'default' }))
