package outfell.server;

import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.climate.SiteId;
import outfell.knowledge.RuleId;
import outfell.method.MethodId;
import outfell.product.ProductId;

/** The description of the API that the screens' types are generated from. */
@Configuration(proxyBeanMethods = false)
class OpenApi {
    static {
        for (Class<?> id : List.of(ProductId.class, RuleId.class, MethodId.class, SiteId.class)) {
            SpringDocUtils.getConfig().replaceWithClass(id, String.class);
        }
    }

    /** A component of a record that may be absent is the thing itself, or null. */
    @Bean
    ModelConverter absentIsNull() {
        return (type, context, chain) -> {
            Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
            if (resolved != null && raw.isRecord()) {
                String reference = resolved.get$ref();
                Schema<?> model = reference == null
                        ? resolved
                        : context.getDefinedModels().get(reference.substring(reference.lastIndexOf('/') + 1));
                absent(model, raw);
            }
            return resolved;
        };
    }

    private static void absent(@Nullable Schema<?> model, Class<?> raw) {
        @SuppressWarnings("rawtypes")
        Map<String, Schema> properties = model == null ? null : model.getProperties();
        if (properties != null) {
            for (RecordComponent component : raw.getRecordComponents()) {
                Schema<?> property = properties.get(component.getName());
                if (component.getType() == Optional.class && property != null) {
                    Set<String> types =
                            new LinkedHashSet<>(property.getTypes() == null ? Set.of("object") : property.getTypes());
                    types.add("null");
                    property.setTypes(types);
                    if (property.getEnum() != null) {
                        property.addEnumItemObject(null);
                    }
                }
            }
        }
    }

    /** Every property is required, save those declared nullable: gives non-optional TypeScript fields. */
    @Bean
    OpenApiCustomizer requiredByDefault() {
        return api -> api.getComponents().getSchemas().values().forEach(OpenApi::require);
    }

    private static void require(Schema<?> schema) {
        @SuppressWarnings("rawtypes")
        Map<String, Schema> properties = schema.getProperties();
        if (properties == null) {
            return;
        }
        List<String> names = new ArrayList<>();
        properties.forEach((name, property) -> {
            if (property.getTypes() == null || !property.getTypes().contains("null")) {
                names.add(name);
            }
        });
        schema.setRequired(names);
        schema.setAdditionalProperties(false);
    }
}
