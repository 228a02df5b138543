package outfell.server;

import java.time.Month;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.climate.SiteId;
import outfell.knowledge.RuleId;
import outfell.method.MethodId;
import outfell.product.ProductId;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.ToStringSerializer;

/** How values are written: ids as plain text; months by name; a field that nobody knows is refused. */
@Configuration(proxyBeanMethods = false)
class Json {
    @Bean
    JsonMapperBuilderCustomizer ids() {
        return builder -> builder.enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .addModule(new SimpleModule("ids")
                        .addSerializer(ProductId.class, ToStringSerializer.instance)
                        .addSerializer(MethodId.class, ToStringSerializer.instance)
                        .addSerializer(SiteId.class, ToStringSerializer.instance)
                        .addSerializer(RuleId.class, ToStringSerializer.instance)
                        .addSerializer(Month.class, ToStringSerializer.instance));
    }
}
