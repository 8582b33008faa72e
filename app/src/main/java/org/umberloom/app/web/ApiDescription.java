package org.umberloom.app.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI description, from which the front end's types are generated. */
@Configuration
class ApiDescription {
    @Bean
    OpenAPI description() {
        return new OpenAPI().info(new Info().title("Umber Loom").version("1")).servers(java.util.List.of());
    }

    /** Answers are records without nulls: all their properties are there. A request may leave some out. */
    @Bean
    @SuppressWarnings("rawtypes")
    OpenApiCustomizer answersAreComplete() {
        return api -> {
            api.setServers(null);
            for (Map.Entry<String, Schema> entry :
                    api.getComponents().getSchemas().entrySet()) {
                Schema<?> schema = entry.getValue();
                if (schema.getProperties() != null && !entry.getKey().endsWith("Request"))
                    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
            }
            EditDescription.add(api);
        };
    }
}
