#version 330 core
in vec3 shade;
out vec4 colour;
void main() { colour = vec4(shade, 1.0); }
