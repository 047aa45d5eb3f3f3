package lobrik.server.platform;

import org.hibernate.cfg.MappingSettings;
import org.hibernate.type.format.jackson.Jackson3JsonFormatMapper;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * How columns of JSON are read and written: as earlier builds wrote them, passing over what those had and this one has not. What comes
 * from outside has been cleaned before it got there.
 */
@Configuration
class StoredJson {

    @Bean
    HibernatePropertiesCustomizer columnsOfJson() {
        JsonMapper json = JsonMapper.builderWithJackson2Defaults()
                .addModule(new WireJson())
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
        return properties -> properties.put(MappingSettings.JSON_FORMAT_MAPPER, new Jackson3JsonFormatMapper(json));
    }
}
