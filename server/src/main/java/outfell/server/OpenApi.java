package outfell.server;

import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.product.ProductId;

/** The description of the API that the screens' types are generated from. */
@Configuration(proxyBeanMethods = false)
class OpenApi {
    static {
        SpringDocUtils.getConfig().replaceWithClass(ProductId.class, String.class);
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
